import fc from 'fast-check';
import { clearToCover_mm, curveOf, edgeLift_mm, sagitta_mm } from './curve';

describe('C-curve', () => {
  // Circle geometry, worked by hand: chord and height to arc length.
  it.each([
    [12, 3, 13.9094],
    [10, 5, 15.708],
    [10, 7, 20.0973],
    [11, 0, 11],
  ])('chord %d, height %d gives arc %d', (width, height, arc) => {
    expect(curveOf(width, height).arc_mm).toBeCloseTo(arc, 4);
  });

  it('goes through both sidewalls and the crown, also past a half circle', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 4, max: 25, noNaN: true }),
        fc.double({ min: 0.05, max: 12, noNaN: true }),
        (w, s) => {
          const { radius_mm, half_angle, arc_mm } = curveOf(w, s);
          expect(2 * radius_mm * Math.sin(half_angle)).toBeCloseTo(w, 6);
          expect(radius_mm * (1 - Math.cos(half_angle))).toBeCloseTo(s, 6);
          expect(arc_mm).toBeGreaterThan(w);
        },
      ),
    );
  });
});

describe('a stiff piece on the curve', () => {
  it('stands off and needs clear as the circle says', () => {
    // R 7.5 mm, piece 4 mm wide: edge lift 0.2716, cover at 0.3 mm thick 0.5523 (circle geometry).
    expect(edgeLift_mm(4, 7.5)).toBeCloseTo(0.2716, 4);
    expect(clearToCover_mm(4, 0.3, 7.5)).toBeCloseTo(0.5523, 4);
  });

  it('adds the share of the curve along the nail, p²/8R', () => {
    expect(edgeLift_mm(4, 7.5, 6, 60) - edgeLift_mm(4, 7.5)).toBeCloseTo(36 / 480, 9);
  });

  it('lies flat on a flat nail and never needs less than its own thickness', () => {
    expect(edgeLift_mm(4, Infinity)).toBe(0);
    expect(clearToCover_mm(4, 0.3, Infinity)).toBe(0.3);
    fc.assert(
      fc.property(
        fc.double({ min: 0, max: 20, noNaN: true }),
        fc.double({ min: 0.01, max: 3, noNaN: true }),
        fc.double({ min: 4, max: 40, noNaN: true }),
        (p, t, r) => {
          expect(clearToCover_mm(p, t, r)).toBeGreaterThanOrEqual(t - 1e-12);
          expect(sagitta_mm(r, p)).toBeLessThanOrEqual(r);
        },
      ),
    );
  });
});
