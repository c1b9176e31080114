import fc from 'fast-check';
import { runs } from '../testing/runs';
import { spill_mm2 } from './polygons';
import { fitted, linePolygons, linesDistance_mm, smoothLine, stripPolygons, toLine_mm } from './lines';
import { polygonDistance_mm } from './regions';

const coordinate = fc.double({ min: -12, max: 12, noNaN: true });
const point = fc.record({ x: coordinate, y: coordinate });
const lines = fc.record({
  count: fc.integer({ min: 1, max: 9 }),
  width_mm: fc.double({ min: 0.1, max: 3, noNaN: true }),
  pitch_mm: fc.double({ min: 0.2, max: 6, noNaN: true }),
  turn_deg: fc.integer({ min: -180, max: 180 }),
  at: point,
  crossed: fc.boolean(),
});

/** The share of spots, on a lattice of a twentieth of a mm, where strips and distance disagree about what is inside. */
function apart(one: Parameters<typeof linePolygons>[0]): number {
  const all = linePolygons(one);
  const into_mm = linesDistance_mm(one);
  let differ = 0;
  let spots = 0;
  for (let x = -4; x < 4; x += 0.05)
    for (let y = 5; y < 13; y += 0.05) {
      spots += 1;
      if (all.some((strip) => polygonDistance_mm(strip, x, y) > 0) !== into_mm(x, y) > 0) differ += 1;
    }
  return differ / spots;
}

describe('lines', () => {
  it('are as far off as their own rectangles are, in them and between', () => {
    fc.assert(
      fc.property(lines, point, (one, { x, y }) => {
        const byPolygon = Math.max(...linePolygons(one).map((polygon) => polygonDistance_mm(polygon, x, y)));
        const found = linesDistance_mm(one)(x, y);
        // Past the first and last line, corners far beyond any nail do not count.
        expect(Math.abs(found - byPolygon)).toBeLessThan(1e-6);
      }),
    );
  });
});

describe('waves', () => {
  const wave = fc.record({
    rise_mm: fc.double({ min: 0.1, max: 1, noNaN: true }),
    length_mm: fc.double({ min: 3, max: 9, noNaN: true }),
  });

  it('are where a brush that swings goes, to a tenth of a mm, and as far as that between', () => {
    fc.assert(
      fc.property(lines, wave, point, (bare, swing, { x, y }) => {
        const one = { ...bare, crossed: false, count: 1, width_mm: 0.4, wave: swing };
        const turn = (one.turn_deg * Math.PI) / 180;
        // Walked along the line itself, finely, without any of the program's own steps.
        let away = Infinity;
        for (let s = -60; s <= 60; s += 0.01) {
          const off = swing.rise_mm * Math.sin((2 * Math.PI * s) / swing.length_mm);
          const px = one.at.x - Math.sin(turn) * s + Math.cos(turn) * off;
          const py = one.at.y + Math.cos(turn) * s + Math.sin(turn) * off;
          away = Math.min(away, Math.hypot(px - x, py - y));
        }
        const into = linesDistance_mm(one)(x, y);
        if (Math.abs(away - 0.2) > 0.1) expect(into > 0).toBe(away < 0.2);
        // Never nearer than it says by more than the wave's slope explains: across, a line that rises at most L in one
        // is at most √(1 + L²) times as far as it is.
        const slope = (2 * Math.PI * swing.rise_mm) / swing.length_mm;
        expect(0.2 - into).toBeLessThanOrEqual(away * Math.hypot(1, slope) + 1e-2);
      }),
      { numRuns: runs(40, 4000) },
    );
  });

  it('cover what their strips cover', () => {
    const one = { count: 1, width_mm: 0.6, pitch_mm: 2, turn_deg: 30, at: { x: 0, y: 9 }, crossed: false };
    const swung = { ...one, wave: { rise_mm: 0.8, length_mm: 5 } };
    expect(apart(swung)).toBeLessThan(0.01);
  });
});

describe('dashes', () => {
  const dash = fc.record({
    long_mm: fc.double({ min: 0.3, max: 5, noNaN: true }),
    gap_mm: fc.double({ min: 0.3, max: 5, noNaN: true }),
  });

  it('lie as far in as their own rectangles do, straight or crossed', () => {
    fc.assert(
      fc.property(lines, dash, point, (bare, broken, { x, y }) => {
        const one = { ...bare, dash: broken };
        const byPolygon = Math.max(...linePolygons(one).map((polygon) => polygonDistance_mm(polygon, x, y)));
        const found = linesDistance_mm(one)(x, y);
        expect(found > 0).toBe(byPolygon > 0);
        // Beside a corner the nearest rectangle is further than either of its sides.
        if (found > 0) expect(found).toBeCloseTo(byPolygon, 6);
        else expect(found).toBeGreaterThanOrEqual(byPolygon - 1e-6);
      }),
    );
  });

  it('cover their share of the line: long over long and gap', () => {
    const one = { count: 1, width_mm: 0.5, pitch_mm: 2, turn_deg: 0, at: { x: 0, y: 0 }, crossed: false };
    // Seven dashes of 1.2 mm, one about the middle, over seven of their lengths.
    const [long_mm, gap_mm] = [1.2, 0.8];
    const half = (7 * (long_mm + gap_mm)) / 2;
    const box = [
      { x: -3, y: -half },
      { x: 3, y: -half },
      { x: 3, y: half },
      { x: -3, y: half },
    ];
    const all = linePolygons({ ...one, dash: { long_mm, gap_mm } });
    const cut = all.filter((polygon) => polygon.every(({ y }) => Math.abs(y) <= half));
    expect(cut).toHaveLength(7);
    expect(cut.reduce((sum, polygon) => sum + spill_mm2([polygon], box).all, 0)).toBeCloseTo(
      7 * 1.2 * 0.5,
      3,
    );
    expect(linesDistance_mm({ ...one, dash: { long_mm, gap_mm } })(0, 0)).toBeCloseTo(0.25, 6);
    expect(linesDistance_mm({ ...one, dash: { long_mm, gap_mm } })(0, 1)).toBeCloseTo(-0.4, 6);
  });

  it('on a wave swing with it', () => {
    const swung = {
      ...{ count: 1, width_mm: 0.6, pitch_mm: 2, turn_deg: 30, at: { x: 0, y: 9 }, crossed: false },
      wave: { rise_mm: 0.8, length_mm: 5 },
      dash: { long_mm: 1.5, gap_mm: 1 },
    };
    expect(apart(swung)).toBeLessThan(0.015);
  });
});

describe('a line drawn by hand', () => {
  const drawn = fc.array(point, { minLength: 2, maxLength: 12 });

  it('passes through its points, and its strip covers what is near it', () => {
    fc.assert(
      fc.property(drawn, (points) => {
        const line = smoothLine(points);
        for (const one of points) expect(toLine_mm(line, one.x, one.y)).toBeLessThan(1e-6);
      }),
    );
    const straight = smoothLine([
      { x: 0, y: 0 },
      { x: 0, y: 4 },
      { x: 0, y: 8 },
    ]);
    const outside = [
      { x: -20, y: -20 },
      { x: 20, y: -20 },
      { x: 20, y: 20 },
      { x: -20, y: 20 },
    ];
    expect(spill_mm2(stripPolygons(straight, 0.5), outside).all).toBeCloseTo(4, 2);
  });

  it('is fitted by fewer points, none of the drawn ones further off than asked', () => {
    fc.assert(
      fc.property(fc.array(point, { minLength: 2, maxLength: 200 }), (points) => {
        const few = fitted(points, 0.5, 200);
        expect(few.length).toBeLessThanOrEqual(points.length);
        expect([few[0], few.at(-1)]).toEqual([points[0], points.at(-1)]);
        for (const one of points) expect(toLine_mm(few, one.x, one.y)).toBeLessThanOrEqual(0.5 + 1e-9);
        expect(fitted(points, 0.01, 20).length).toBeLessThanOrEqual(20);
      }),
    );
  });
});
