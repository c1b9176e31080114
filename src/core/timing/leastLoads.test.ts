import { leastLoads } from './leastLoads';
import type { Chain, Problem, Task } from './problem';

const stroke = (operation: string, hand_s: number, more: Partial<Task> = {}): Task => ({
  operation,
  hand_s,
  class: 'gel',
  rank: 0,
  dusty: false,
  wait_s: 0,
  wet: true,
  tacky: false,
  ...more,
});

const light = (operation: string, mode: 'cure' | 'flash'): Task =>
  stroke(operation, 0, { wet: false, light: { mode, seconds: 30 } });

const chain = (nail: string, tasks: Task[]): Chain => ({ nail, hand: 'left', thumb: false, tasks });

const problem = (chains: Chain[]): Problem => ({
  chains,
  lamps: [{ id: 'lamp', programmes_s: [] }],
  thumbs: 'apart',
  wearer: 'client',
  slower: { left: 1, right: 1 },
  changeover_s: 6,
});

/** A bed of so many seconds that may wait so long, flashed and cured. */
const bedded = (nail: string, hand_s: number, most_s: number) =>
  chain(nail, [
    stroke(`${nail}/bed`, hand_s, { open: { guide_s: most_s, most_s } }),
    light(`${nail}/flash`, 'flash'),
    light(`${nail}/cure`, 'cure'),
  ]);

describe('the fewest loads', () => {
  it('nails of a hand share their lights', () =>
    expect(leastLoads(problem([bedded('a', 30, 180), bedded('b', 30, 180)]))).toBe(2));

  it('runny beds that take longer than either can wait are flashed apart', () => {
    expect(leastLoads(problem([bedded('a', 70, 40), bedded('b', 70, 40)]))).toBe(3);
    // One of them can wait while the other is laid.
    expect(leastLoads(problem([bedded('a', 70, 40), bedded('b', 35, 40)]))).toBe(2);
    expect(leastLoads(problem([bedded('a', 70, 80), bedded('b', 70, 40)]))).toBe(2);
  });

  it('what is pressed in again may wait anew', () => {
    const pressed = (nail: string) => {
      const one = bedded(nail, 70, 40);
      one.tasks.splice(
        1,
        0,
        stroke(`${nail}/press`, 10, { open: { guide_s: 120, most_s: 180 }, renews: true }),
      );
      return one;
    };
    expect(leastLoads(problem([pressed('a'), pressed('b')]))).toBe(2);
  });

  it('a light held by hand is no load', () => {
    const held = bedded('a', 30, 40);
    held.tasks[1]!.held = true;
    expect(leastLoads(problem([held]))).toBe(1);
  });

  it('nothing is shared across work that all nails are done with together', () => {
    const lit = (nail: string) => [stroke(`${nail}/coat`, 10), light(`${nail}/cure`, 'cure')];
    const clean = (nail: string) => stroke(`${nail}/sanitise`, 5, { wet: false, together: 'sanitise' });
    const ahead = chain('a', [...lit('a'), clean('a')]);
    const after = chain('b', [clean('b'), ...lit('b')]);
    expect(leastLoads(problem([ahead, after]))).toBe(2);
    expect(leastLoads(problem([chain('a', lit('a')), chain('b', lit('b'))]))).toBe(1);
  });
});
