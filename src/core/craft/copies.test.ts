import fc from 'fast-check';
import {
  beside,
  clearOf,
  ofParts,
  partsAgain,
  partsOf,
  withoutParts,
  withParts,
  type Copies,
} from './copies';

const stones: Copies = { path: 'stones', part: 'stone', most: 80 };
const pieces: Copies = { path: 'pieces', part: 'piece', most: 60 };
const spot = fc.record({
  across: fc.double({ min: -1, max: 1, noNaN: true }),
  along: fc.double({ min: 0, max: 2, noNaN: true }),
});
const list = fc.array(spot, { minLength: 1, maxLength: 12 });

describe('parts copied', () => {
  it('again are beside themselves, on the nail, behind all that were there', () => {
    fc.assert(
      fc.property(list, fc.nat(11), (parts, i) => {
        const next = partsAgain({ id: 'a', stones: parts }, stones, [`stone-${i}`]);
        expect(next.id).toBe('a');
        expect(next.stones.slice(0, parts.length)).toEqual(parts);
        expect(next.stones).toHaveLength(parts.length + (i < parts.length ? 1 : 0));
        for (const one of next.stones) {
          expect(Math.abs(one.across)).toBeLessThanOrEqual(1);
          expect(one.along).toBeLessThanOrEqual(2);
        }
        const copy = next.stones[parts.length];
        if (copy) expect(copy).toEqual(beside(parts[i]!));
      }),
    );
  });

  it('taken from one and laid into another lie where they lay; taken out, what is left is what was not held', () => {
    fc.assert(
      fc.property(list, list, fc.array(fc.nat(11), { minLength: 1 }), (from, into, which) => {
        const ids = which.map((i) => `piece-${i}`);
        const taken = partsOf({ pieces: from }, pieces, ids);
        expect(withParts({ pieces: into }, pieces, taken).pieces).toEqual([...into, ...taken]);
        const left = withoutParts({ pieces: from }, pieces, ids).pieces;
        const kept = from.filter((_, i) => !which.includes(i));
        expect(left).toEqual(kept.length > 0 ? kept : from.slice(0, 1));
        if (taken.length > 0) expect(ofParts({ pieces: into }, pieces, taken).pieces).toEqual(taken);
      }),
    );
  });

  it('are laid beside what lies on their very spot, and even a full corner of the nail comes to an end', () => {
    const one = { across: 0, along: 1 };
    expect(clearOf([one], [])).toEqual([one]);
    expect(clearOf([one], [one, beside(one)])).toEqual([beside(beside(one))]);
    const corner = { across: 1, along: 2 };
    expect(clearOf([corner], [corner, beside(corner), beside(beside(corner))])).toHaveLength(1);
  });

  it('an end that is held stands for its part; strangers and more than there may be are left out', () => {
    const [a, b] = [
      { across: 0, along: 1, name: 'a' },
      { across: 0.5, along: 1, name: 'b' },
    ];
    const both = { pieces: [a, b] };
    const named = (ids: string[], most: number) =>
      partsAgain(both, { ...pieces, most }, ids).pieces.map((one) => one.name);
    expect(named(['piece-1-end', 'piece-0', 'piece-1'], 60)).toEqual(['a', 'b', 'b', 'a']);
    expect(named(['smile-left', 'piece-9', 'stone-0'], 60)).toEqual(['a', 'b']);
    expect(named(['piece-0', 'piece-1'], 3)).toHaveLength(3);
    expect(named(['piece-0'], 1)).toEqual(['a', 'b']);
    expect(withoutParts(both, pieces, ['piece-0', 'piece-1']).pieces).toEqual([a]);
  });
});
