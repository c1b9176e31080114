import fc from 'fast-check';
import { makeFrame, type Point } from '../geometry/frame';
import { SHAPES } from '../model/shapes';
import { threeViews } from './threeViews';

const length = (line: readonly Point[]) =>
  line.slice(1).reduce((sum, p, i) => sum + Math.hypot(p.x - line[i]!.x, p.y - line[i]!.y), 0);
const anyFrame = fc
  .record({
    width_mm: fc.double({ min: 7, max: 17, noNaN: true }),
    arch_share: fc.double({ min: 0, max: 0.45, noNaN: true }),
    bed_mm: fc.double({ min: 7, max: 16, noNaN: true }),
    free_mm: fc.double({ min: 0, max: 20, noNaN: true }),
    radiusAlong_mm: fc.constantFrom(0, 40, 60, 120),
    shape: fc.constantFrom(...SHAPES),
  })
  .map(({ arch_share, ...rest }) => makeFrame({ ...rest, arch_mm: rest.width_mm * arch_share }));

describe('a nail from three sides', () => {
  it('has its width, its length and its arc in all of them', () => {
    fc.assert(
      fc.property(anyFrame, (frame) => {
        const { above, side, end } = threeViews(frame);
        const widest = Math.max(...above.map((p) => p.x)) * 2;
        expect(widest).toBeLessThanOrEqual(frame.width_mm + 1e-6);
        expect(widest).toBeGreaterThan(frame.width_mm * 0.7);
        expect(Math.max(...above.map((p) => p.y))).toBeCloseTo(frame.length_mm, 6);
        expect(side.at(-1)!.x).toBeCloseTo(frame.length_mm, 6);
        expect(length(end)).toBeCloseTo(frame.arc_mm, frame.shape === 'edge' ? 6 : 1);
        expect(end.at(-1)!.x - end[0]!.x).toBeCloseTo(frame.width_mm, 6);
      }),
    );
  });

  it('of a nail straight along is straight from the side, of a flat one flat from its tip', () => {
    const flat = makeFrame({
      width_mm: 10,
      arch_mm: 0,
      bed_mm: 12,
      free_mm: 5,
      radiusAlong_mm: 0,
      shape: 'square',
    });
    const { side, end } = threeViews(flat);
    for (const { y } of [...side, ...end]) expect(y).toBe(0);
  });
});
