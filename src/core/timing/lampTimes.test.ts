import fc from 'fast-check';
import { LampTimes } from './lampTimes';

/** Lamps that each run the same for every step. */
const lamps = (...run_s: number[]) => new LampTimes(run_s.map((run) => new Float64Array(40).fill(run)));

/** The first whole second at which a run fits between what is taken, by trying each. */
function firstGap(taken: readonly [number, number][], from: number, run: number): number {
  for (let t = from; ; t += 1) if (taken.every(([a, b]) => t + run <= a || t >= b)) return t;
}

describe('lamp times', () => {
  it('finds the first room that is long enough, however the runs were put in', () => {
    fc.assert(
      fc.property(
        fc.array(fc.tuple(fc.nat(200), fc.integer({ min: 1, max: 30 })), { maxLength: 20 }),
        fc.nat(250),
        (asked, from) => {
          const times = lamps(20);
          const taken: [number, number][] = [];
          for (const [start, length] of asked) {
            // Only what is free can be taken.
            if (taken.some(([a, b]) => start < b && start + length > a)) continue;
            times.occupy(0, start, start + length);
            taken.push([start, start + length]);
          }
          times.find(0, from);
          expect(times.start_s).toBe(firstGap(taken, from, 20));
          expect(times.freeFrom(from)).toBe(firstGap(taken, from, 1));
        },
      ),
    );
  });

  it('takes the lamp in which the light ends first, not the one that begins first', () => {
    const times = lamps(60, 30);
    times.occupy(1, 0, 20);
    expect(times.find(0, 0)).toBe(1);
    expect(times.start_s).toBe(20);
    times.occupy(1, 20, 50);
    expect(times.find(0, 0)).toBe(0);
    expect(times.start_s).toBe(0);
  });

  it('knows the shortest run of any lamp, and when one is free', () => {
    const times = lamps(60, 30);
    expect(times.least_s(0)).toBe(30);
    expect(times.freeFrom(10)).toBe(10);
    times.occupy(0, 0, 100);
    times.occupy(1, 0, 90);
    expect(times.freeFrom(10)).toBe(90);
  });
});
