import type { NailFrame } from '../geometry/frame';
import { areaOf } from './area';
import { distancesTo, latticeOf, LATTICE_X, LATTICE_Y } from './lattice';
import type { Place } from './operation';

/** Between two points of the lattice it is looked at in so many steps each way. */
const STEPS = 8;

/** Whether two places of a nail come nearer to each other than `gap_mm`, on the nail itself; to some hundredths of a mm. */
export function comeWithin(frame: NailFrame, a: Place, b: Place, gap_mm: number): boolean {
  const [into_a, into_b] = [distancesTo(frame, a), distancesTo(frame, b)];
  const step_x = frame.arc_mm / LATTICE_X;
  const step_y = frame.length_mm / LATTICE_Y;
  // Half-way over a gap both are half of it away; a lattice point is no further than this from there.
  const around_mm = Math.hypot(step_x, step_y) / 2;
  const half_mm = gap_mm / 2;
  const [at_a, at_b] = [areaOf(frame, a).distance_mm, areaOf(frame, b).distance_mm];
  return latticeOf(frame).some((at, n) => {
    if (!at) return false;
    const least = Math.min(into_a[n]!, into_b[n]!);
    if (least > -half_mm) return true;
    if (least <= -half_mm - around_mm) return false;
    for (let i = -STEPS / 2; i <= STEPS / 2; i += 1)
      for (let j = -STEPS / 2; j <= STEPS / 2; j += 1) {
        const [x, y] = [at.x + (i / STEPS) * step_x, at.y + (j / STEPS) * step_y];
        if (at_a(x, y) > -half_mm && at_b(x, y) > -half_mm) return true;
      }
    return false;
  });
}
