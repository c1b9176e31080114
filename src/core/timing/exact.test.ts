import type { Hand } from '../model/names';
import { chance } from '../testing/chance';
import { shortest_s } from '../testing/exact';
import { boardOf } from './board';
import { lowerBound_s } from './bound';
import { Player } from './play';
import type { Chain, Problem, Task } from './problem';
import { search } from './search';

/** Two to four nails with one or two coats each, in every way of working. */
function tiny(seed: number): Problem {
  const by = chance(seed);
  const nails = by.pick<[Hand, string][]>([
    [
      ['left', 'ring'],
      ['right', 'ring'],
    ],
    [
      ['left', 'ring'],
      ['left', 'index'],
      ['right', 'ring'],
    ],
    [
      ['left', 'ring'],
      ['left', 'thumb'],
      ['right', 'thumb'],
    ],
  ]);
  const chains = nails.map(([hand, finger]): Chain => {
    const nail = `${hand}-${finger}`;
    const coats = 1 + by.below(2);
    const tasks = Array.from({ length: coats }, (_, i): Task[] => [
      {
        operation: `${nail}/coat#${i}`,
        hand_s: 5 + by.below(56),
        class: by.pick(['a', 'b']),
        rank: 2 * i,
        dusty: false,
        wait_s: 0,
        wet: true,
        tacky: false,
      },
      {
        operation: `${nail}/cure#${i}`,
        hand_s: 0,
        class: 'light',
        rank: 2 * i + 1,
        dusty: false,
        light: { mode: 'cure', seconds: by.pick([10, 30, 60]) },
        wait_s: 0,
        wet: false,
        tacky: true,
      },
    ]).flat();
    return { nail, hand, thumb: finger === 'thumb', tasks };
  });
  return {
    chains,
    lamps: Array.from({ length: 1 + by.below(2) }, (_, i) => ({
      id: `lamp-${i}`,
      programmes_s: by.pick([[], [30, 60]]),
    })),
    thumbs: by.pick(['apart', 'together', 'with-fingers'] as const),
    // On one's own hands a wet hand may not be worked beside, which the exact walk does not know.
    wearer: 'client',
    slower: { left: 1, right: 1 },
    changeover_s: by.pick([0, 6]),
  };
}

describe('against every order of tiny sittings', () => {
  it('the bound is never above the shortest, in any way of working', () => {
    for (let seed = 1; seed <= 120; seed += 1) {
      for (const wearer of ['client', 'own'] as const) {
        const problem: Problem = { ...tiny(seed), wearer };
        expect([seed, lowerBound_s(problem) <= shortest_s(problem) + 1e-6]).toEqual([seed, true]);
      }
    }
  });

  it('search finds the shortest in nine of ten, and is never below it', () => {
    let optimal = 0;
    const count = 100;
    for (let seed = 1; seed <= count; seed += 1) {
      const problem = tiny(5000 + seed);
      const best = shortest_s(problem);
      const board = boardOf(problem);
      const { total_s } = new Player(board).schedule(
        search(board, { iterations: 800, seed: 1, flow: 'quick' }),
      );
      expect([seed, total_s >= best - 1e-6]).toEqual([seed, true]);
      if (total_s <= best + 1e-6) optimal += 1;
    }
    expect(optimal).toBeGreaterThanOrEqual(90);
  });
});
