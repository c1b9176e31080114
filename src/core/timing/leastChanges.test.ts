import { chance } from '../model/chance';
import { leastChanges } from './leastChanges';
import type { Chain, Problem, Task } from './problem';
import { runs } from '../testing/runs';

/** "A" a stroke of that class, "a" one that is held after what stands before it, "." light that parts. */
function chainOf(name: string, strokes: string): Chain {
  const tasks = [...strokes].map((letter, i): Task => {
    const light = letter === '.';
    return {
      operation: `${name}/${i}`,
      hand_s: light ? 0 : 10,
      class: letter.toUpperCase(),
      rank: i,
      dusty: false,
      wait_s: 0,
      wet: false,
      tacky: false,
      ...(light ? { light: { mode: 'cure', seconds: 30 } } : {}),
      ...(letter >= 'a' && letter <= 'z' ? { held: true } : {}),
    };
  });
  return { nail: name, hand: 'left', thumb: false, tasks };
}

const problemOf = (nails: readonly string[]): Problem => ({
  chains: nails.map((strokes, i) => chainOf(`n${i}`, strokes)),
  lamps: [{ id: 'lamp', programmes_s: [] }],
  thumbs: 'apart',
  wearer: 'client',
  slower: { left: 1, right: 1 },
  changeover_s: 6,
});

/** The fewest changes by trying every order: held letters go along with what they follow. For tiny nails. */
function fewestByTrying(nails: readonly string[]): number {
  const blocks = nails.map((strokes) => strokes.replace(/\./g, '').match(/[A-Z][a-z]*/g) ?? []);
  const known = new Map<string, number>();
  const from = (at: readonly number[], last: string): number => {
    const key = `${at.join()}${last}`;
    const before = known.get(key);
    if (before !== undefined) return before;
    const costs = blocks.flatMap((own, n) => {
      const block = own[at[n]!];
      if (!block) return [];
      const rest = from(
        at.map((i, m) => (m === n ? i + 1 : i)),
        block.at(-1)!.toUpperCase(),
      );
      return [rest + (last !== '' && last !== block[0] ? 1 : 0)];
    });
    const least = costs.length > 0 ? Math.min(...costs) : 0;
    known.set(key, least);
    return least;
  };
  return from(
    nails.map(() => 0),
    '',
  );
}

describe('the fewest changes of brush', () => {
  it.each<[string, string[], number]>([
    ['one brush', ['A', 'A', 'A'], 0],
    ['one nail', ['ABAC'], 3],
    ['work held together changes for nothing', ['AbA'], 1],
    ['held on every nail, each begins anew', ['Ab', 'Ab', 'Ab'], 2],
    ['a colour that only one nail has', ['AB', 'AC', 'AD'], 3],
    ['orders that go against each other', ['AB', 'BA'], 2],
    ['nothing to do', ['', '.'], 0],
  ])('%s', (_words, nails, least) => {
    expect(fewestByTrying(nails)).toBe(least);
    expect(leastChanges(problemOf(nails))).toBe(least);
  });

  it('nothing of one brush goes on across work that all nails are done with together', () => {
    const parted = problemOf(['ABAC', 'CAB']);
    expect(leastChanges(parted)).toBe(4);
    // The first nail's A, B, A come before both nails' C, and the other's A, B after them.
    for (const { tasks } of parted.chains)
      for (const task of tasks) if (task.class === 'C') task.together = 'all';
    expect(leastChanges(parted)).toBe(5);
  });

  it('is never more than what the best of all orders has, and mostly just as many', () => {
    let reached = 0;
    const count = runs(150, 2000);
    for (let seed = 1; seed <= count; seed += 1) {
      const by = chance(seed);
      const nails = Array.from({ length: 2 + by.below(3) }, () =>
        Array.from({ length: 2 + by.below(5) }, (_, i) => {
          const letter = by.pick([...'ABCD']);
          if (i > 0 && by.next() < 0.2) return '.';
          return i > 0 && by.next() < 0.3 ? letter.toLowerCase() : letter;
        })
          .join('')
          // After light nothing is held any more.
          .replace(/\.+([a-z])/g, (_, next: string) => `.${next.toUpperCase()}`),
      );
      const [least, best] = [leastChanges(problemOf(nails)), fewestByTrying(nails)];
      expect([seed, nails.join(' '), least <= best]).toEqual([seed, nails.join(' '), true]);
      if (least === best) reached += 1;
    }
    expect(reached).toBeGreaterThan(count / 2);
  });
});
