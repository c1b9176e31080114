import fc from 'fast-check';
import { hullOf, meets, pack, type Packing } from './pack';
import { polygonDistance_mm } from './regions';
import { overlap_mm2 } from './polygons';
import { makeFrame, outlineDistance_mm, outlinePolygon } from './frame';
import { runs } from '../testing/runs';

const frame = makeFrame({
  width_mm: 12,
  arch_mm: 2.6,
  bed_mm: 13,
  free_mm: 7,
  radiusAlong_mm: 60,
  shape: 'almond',
});
const body = fc.record({
  half_width_mm: fc.double({ min: 0.2, max: 1.2, noNaN: true }),
  half_length_mm: fc.double({ min: 0.2, max: 2.5, noNaN: true }),
  round: fc.boolean(),
});
const packing = (over: Partial<Packing>): Packing => ({
  into_mm: (x, y) => outlineDistance_mm(frame, x, y),
  box: { left: -frame.arc_mm / 2, right: frame.arc_mm / 2, low: 0, high: frame.length_mm },
  margin_mm: 0.25,
  bodies: [{ half_width_mm: 0.5, half_length_mm: 1.5, round: false }],
  turn_deg: 30,
  most: 60,
  tries: 220,
  seed: 1,
  ...over,
});

describe('packing', () => {
  it('lays nothing over another or past the edge, with the margin kept; the same seed lays the same', () => {
    const edge = outlinePolygon(frame);
    fc.assert(
      fc.property(fc.array(body, { minLength: 1, maxLength: 3 }), fc.integer(), (bodies, seed) => {
        const wanted = packing({ bodies, seed, tries: 40, most: 25 });
        const laid = pack(wanted);
        expect(pack(wanted)).toEqual(laid);
        const hulls = laid.map((one) => hullOf(one));
        hulls.forEach((hull, i) => {
          for (const corner of hull) expect(polygonDistance_mm(edge, corner.x, corner.y)).toBeGreaterThan(0);
          hulls.slice(i + 1).forEach((other) => {
            expect(meets(hull, other)).toBe(false);
            // By cutting one with the other, which shares nothing with the axes.
            expect(overlap_mm2(hull, other)).toBeLessThan(1e-6);
          });
        });
      }),
      { numRuns: runs(8, 40) },
    );
  });

  it('lays at least four fifths of what the best of many long runs does', () => {
    const most = 400;
    const short = pack(packing({ most })).length;
    const best = Math.max(
      ...Array.from({ length: runs(15, 50) }, (_, seed) => pack(packing({ most, tries: 700, seed })).length),
    );
    expect(short / best).toBeGreaterThanOrEqual(0.8);
  });

  it('on a strip as wide as one piece comes near the most that lie there', () => {
    // Discs of 1 mm on a line of 10 mm: nine lie with 0.1 mm between, and by bad luck no more than five.
    const strip = packing({
      into_mm: (x, y) => Math.min(x + 5, 5 - x, 0.68 - Math.abs(y)),
      box: { left: -5, right: 5, low: -0.06, high: 0.06 },
      margin_mm: 0.1,
      bodies: [{ half_width_mm: 0.5, half_length_mm: 0.5, round: true }],
      turn_deg: 0,
      tries: 2000,
    });
    const counts = [1, 2, 3, 4, 5].map((seed) => pack({ ...strip, seed }).length);
    for (const count of counts) {
      expect(count).toBeLessThanOrEqual(9);
      expect(count).toBeGreaterThanOrEqual(7);
    }
  });
});
