import fc from 'fast-check';
import { orderDifference } from './orderDifference';

const steps = (...ids: string[]) => ids.map((id) => ({ id, words: id.toUpperCase() }));

describe('the difference of two orders', () => {
  it.each([
    ['the same', steps('a', 'b', 'c'), steps('a', 'b', 'c'), { added: [], out: [], moved: [], changed: [] }],
    ['one put in', steps('a', 'c'), steps('a', 'b', 'c'), { added: ['B'], out: [], moved: [], changed: [] }],
    [
      'one left out',
      steps('a', 'b', 'c'),
      steps('a', 'c'),
      { added: [], out: ['B'], moved: [], changed: [] },
    ],
    [
      'one moved to the end',
      steps('a', 'b', 'c', 'd'),
      steps('b', 'c', 'd', 'a'),
      { added: [], out: [], moved: ['A'], changed: [] },
    ],
    [
      'other words',
      steps('a'),
      [{ id: 'a', words: 'two coats' }],
      { added: [], out: [], moved: [], changed: ['two coats'] },
    ],
  ])('%s', (_words, before, after, told) => {
    expect(orderDifference(before, after)).toEqual(told);
  });

  it('names as few as can be: with those moved away, both orders are the same', () => {
    fc.assert(
      fc.property(fc.shuffledSubarray([...'abcdefgh'], { minLength: 2 }), (ids) => {
        const before = steps(...[...ids].sort());
        const after = steps(...ids);
        const moved = new Set(orderDifference(before, after).moved);
        const left = (of: typeof before) => of.filter(({ words }) => !moved.has(words)).map(({ id }) => id);
        expect(left(before)).toEqual(left(after));
        // No smaller set of them does: the longest common run by trying all.
        const longest = subsets(ids).filter((one) => one.every((id, i) => i === 0 || one[i - 1]! < id));
        expect(ids.length - moved.size).toBe(Math.max(...longest.map(({ length }) => length)));
      }),
    );
  });
});

function subsets(ids: readonly string[]): string[][] {
  return ids.reduce<string[][]>((all, id) => [...all, ...all.map((one) => [...one, id])], [[]]);
}
