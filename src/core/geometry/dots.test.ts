import fc from 'fast-check';
import { dotMiddles, dotPolygons, dotsAlong, dotsDistance_mm, type Dots } from './dots';
import { letterLines } from './letters';
import { polygonArea_mm2 } from './polygons';
import { polygonDistance_mm } from './regions';

const dots = fc.record<Dots>({
  rows: fc.integer({ min: 1, max: 6 }),
  columns: fc.integer({ min: 1, max: 6 }),
  dot_mm: fc.double({ min: 0.2, max: 3, noNaN: true }),
  pitch_mm: fc.double({ min: 0.5, max: 4, noNaN: true }),
  turn_deg: fc.integer({ min: -180, max: 180 }),
  at: fc.record({
    x: fc.double({ min: -5, max: 5, noNaN: true }),
    y: fc.double({ min: 0, max: 18, noNaN: true }),
  }),
  staggered: fc.boolean(),
});
it('turned over, lie where a mirror shows them', () => {
  fc.assert(
    fc.property(dots, (one) => {
      const turned = {
        ...one,
        side: -1 as const,
        turn_deg: -one.turn_deg,
        at: { x: -one.at.x, y: one.at.y },
      };
      const rounded = (all: { x: number; y: number }[]) =>
        all
          .map(({ x, y }) =>
            `${(x + 0).toFixed(6)} ${(y + 0).toFixed(6)}`.replaceAll('-0.000000', '0.000000'),
          )
          .sort();
      expect(rounded(dotMiddles(turned))).toEqual(rounded(dotMiddles(one).map(({ x, y }) => ({ x: -x, y }))));
    }),
  );
});

const point = fc.record({
  x: fc.double({ min: -12, max: 12, noNaN: true }),
  y: fc.double({ min: -4, max: 24, noNaN: true }),
});

describe('dots', () => {
  it('are as many as asked, no two nearer than a step, the whole of them about its place', () => {
    fc.assert(
      fc.property(dots, (one) => {
        const middles = dotMiddles(one);
        expect(middles).toHaveLength(one.rows * one.columns);
        middles.forEach((a, i) =>
          middles
            .slice(i + 1)
            .forEach((b) => expect(Math.hypot(a.x - b.x, a.y - b.y)).toBeGreaterThan(one.pitch_mm - 1e-9)),
        );
        const mean = (of: (p: { x: number; y: number }) => number) =>
          middles.reduce((sum, p) => sum + of(p), 0) / middles.length;
        // An odd number of staggered rows leans a quarter of a step to the side of most.
        const lean = one.staggered && one.rows % 2 === 1 ? one.pitch_mm / 4 / one.rows : 0;
        const off = Math.hypot(mean((p) => p.x) - one.at.x, mean((p) => p.y) - one.at.y);
        expect(off).toBeCloseTo(lean, 6);
      }),
    );
  });

  it('reach as far as their own curves do', () => {
    fc.assert(
      fc.property(dots, point, (one, { x, y }) => {
        const into = dotsDistance_mm(one)(x, y);
        const byCurves = Math.max(...dotPolygons(one).map((curve) => polygonDistance_mm(curve, x, y)));
        // The curves have corners: a little inside the circle.
        expect(Math.abs(into - byCurves)).toBeLessThan(0.06 * one.dot_mm + 1e-6);
      }),
    );
  });

  it('cover so many circles where they lie apart', () => {
    const apart: Dots = {
      rows: 3,
      columns: 4,
      dot_mm: 1,
      pitch_mm: 2,
      turn_deg: 15,
      at: { x: 0, y: 8 },
      staggered: true,
    };
    const area = dotPolygons(apart).reduce((sum, curve) => sum + polygonArea_mm2(curve), 0);
    expect(area).toBeCloseTo((12 * Math.PI) / 4, 0);
  });
});

describe('letters set in dots', () => {
  const at = { x: 0, y: 0 };

  it('have a dot on each end and corner, and evenly between', () => {
    // An L of 5 mm is 2.4 mm wide: five steps down, two along, and one dot serves the corner.
    const dots = dotsAlong(letterLines('L', 5, 0, at), 1);
    expect(dots).toHaveLength(5 + 2 + 1);
    for (const corner of [
      { x: -1.2, y: 2.5 },
      { x: -1.2, y: -2.5 },
      { x: 1.2, y: -2.5 },
    ])
      expect(dots.some(({ x, y }) => Math.hypot(x - corner.x, y - corner.y) < 1e-6)).toBe(true);
  });

  it('stand apart, and each on its line', () => {
    const any = fc.record({
      text: fc.stringMatching(/^[A-Z0-9]{1,5}$/),
      height: fc.double({ min: 2, max: 12, noNaN: true }),
      pitch: fc.double({ min: 0.4, max: 3, noNaN: true }),
      turn: fc.integer({ min: -180, max: 180 }),
    });
    fc.assert(
      fc.property(any, ({ text, height, pitch, turn }) => {
        const lines = letterLines(text, height, turn, at);
        const dots = dotsAlong(lines, pitch);
        expect(dots.length).toBeGreaterThan(0);
        let nearest = Infinity;
        let off = 0;
        dots.forEach((one, i) => {
          for (const other of dots.slice(i + 1))
            nearest = Math.min(nearest, Math.hypot(one.x - other.x, one.y - other.y));
          const offs = lines.flatMap((line) => line.slice(1).map((to, k) => offSegment(one, line[k]!, to)));
          off = Math.max(off, Math.min(...offs));
        });
        expect(nearest).toBeGreaterThanOrEqual(pitch * 0.6);
        expect(off).toBeLessThan(1e-6);
      }),
    );
  });
});

type Point = { x: number; y: number };
function offSegment(p: Point, a: Point, b: Point): number {
  const [dx, dy] = [b.x - a.x, b.y - a.y];
  const t = Math.max(0, Math.min(1, ((p.x - a.x) * dx + (p.y - a.y) * dy) / (dx * dx + dy * dy || 1)));
  return Math.hypot(p.x - a.x - t * dx, p.y - a.y - t * dy);
}
