import fc from 'fast-check';
import { makeFrame } from '../geometry/frame';
import { runs } from '../testing/runs';
import { areaOf } from './area';
import { wholePlace } from './context';
import type { Place } from './operation';
import { comeWithin } from './touching';

const frame = makeFrame({
  width_mm: 12,
  arch_mm: 2,
  bed_mm: 12,
  free_mm: 6,
  radiusAlong_mm: 60,
  shape: 'square',
});
type Line = { x: number; y: number; across: number; along: number; width: number };
const at = ({ x, y, across, along, width }: Line): Place => ({
  ...wholePlace(),
  margin_mm: 0,
  region: {
    kind: 'paths',
    paths: [
      {
        width_mm: width,
        filled: false,
        points: [
          { across: x - across, along: y - along },
          { across: x + across, along: y + along },
        ],
      },
    ],
  },
});
const share = (min: number, max: number) => fc.double({ min, max, noNaN: true });
const line: fc.Arbitrary<Line> = fc.record({
  x: share(-0.5, 0.5),
  y: share(0.5, 1.2),
  across: share(0.02, 0.3),
  along: share(-0.3, 0.3),
  width: share(0.1, 1.5),
});

/** How far two places lie from each other: every point of a fine net over the nail is asked. */
function gap_mm(a: Place, b: Place): number {
  const [into_a, into_b] = [areaOf(frame, a).distance_mm, areaOf(frame, b).distance_mm];
  let nearest = Infinity;
  for (let x = -frame.arc_mm / 2; x <= frame.arc_mm / 2; x += 0.04)
    for (let y = 0; y <= frame.length_mm; y += 0.04)
      nearest = Math.min(nearest, -2 * Math.min(into_a(x, y), into_b(x, y)));
  return nearest;
}

it('two strokes touch where a fine net over the nail says so, whichever way they run', () => {
  fc.assert(
    fc.property(line, line, share(0, 0.6), (a, b, within_mm) => {
      const gap = gap_mm(at(a), at(b));
      // Nearer to the line between yes and no than either of them measures.
      fc.pre(Math.abs(gap - within_mm) > 0.12);
      expect(comeWithin(frame, at(a), at(b), within_mm)).toBe(gap < within_mm);
    }),
    { numRuns: runs(6, 200) },
  );
});

it('strokes that cross in their middles touch, though no end of either lies near the other', () => {
  const across = at({ x: 0, y: 0.8, across: 0.6, along: 0, width: 0.3 });
  const along = at({ x: 0, y: 0.8, across: 0, along: 0.5, width: 0.3 });
  expect(comeWithin(frame, across, along, 0)).toBe(true);
  const beside = at({ x: 0.9, y: 0.8, across: 0, along: 0.5, width: 0.3 });
  expect(comeWithin(frame, along, beside, 0.2)).toBe(false);
});
