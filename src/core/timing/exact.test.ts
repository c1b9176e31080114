import { shortest_s } from '../testing/exact';
import { tinySitting, WAYS } from '../testing/tinySittings';
import { boardOf } from './board';
import { lowerBound_s, relaxedBound_s } from './bound';
import { Player } from './play';
import { search } from './search';
import { runs } from '../testing/runs';

const named = WAYS.map((way) => [`${way.wearer}, thumbs ${way.thumbs}, lamps ${way.lamps}`, way] as const);

describe('against every order of tiny sittings', () => {
  it.each(named)('the bound is never above the shortest: %s', (_words, way) => {
    for (let seed = 1; seed <= runs(20, 60); seed += 1) {
      const problem = tinySitting(seed, way);
      expect([seed, relaxedBound_s(problem) <= shortest_s(problem) + 1e-6]).toEqual([seed, true]);
    }
  });

  it('so small a sitting has its bound within 5 % of the shortest, and never above', () => {
    for (let seed = 1; seed <= runs(20, 60); seed += 1) {
      const problem = tinySitting(5000 + seed, WAYS[seed % WAYS.length]!);
      const share = lowerBound_s(problem) / shortest_s(problem);
      expect([seed, share > 0.95, share <= 1 + 1e-9]).toEqual([seed, true, true]);
    }
  });

  it('what only rests takes up neither hands nor brush', () => {
    const problem = tinySitting(5001, WAYS[0]!);
    const [first] = problem.chains;
    const rest = { ...first!.tasks[0]!, operation: 'rest', hand_s: 0, class: 'rest', wait_s: 5, wet: false };
    const rested = {
      ...problem,
      changeover_s: 6,
      chains: [{ ...first!, tasks: [...first!.tasks, rest] }],
    };
    const work_s = first!.tasks.reduce((sum, { hand_s, wait_s }) => sum + hand_s + wait_s, 0);
    const light_s = relaxedBound_s({ ...rested, chains: [first!] }) - work_s;
    expect(lowerBound_s(rested)).toBeCloseTo(work_s + light_s + 5, 6);
  });

  it('search finds the shortest in nine of ten, and is never below it', () => {
    let optimal = 0;
    const count = runs(30, 100);
    for (let seed = 1; seed <= count; seed += 1) {
      const problem = tinySitting(5000 + seed, WAYS[seed % WAYS.length]!);
      const best = shortest_s(problem);
      const board = boardOf(problem);
      const { total_s } = new Player(board).schedule(
        search(board, { iterations: 2000, seed: 1, flow: 'quick' }),
      );
      expect([seed, total_s >= best - 1e-6]).toEqual([seed, true]);
      if (total_s <= best + 1e-6) optimal += 1;
    }
    expect(optimal).toBeGreaterThanOrEqual(0.9 * count);
  });
});
