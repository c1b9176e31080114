import { CHARM_FORMS } from '../craft/charmForms';
import { CHARM_SHAPES, type CharmShape } from '../model/charmShapes';
import fc from 'fast-check';
import clipping, { type Polygon } from 'polygon-clipping';
import { runs } from '../testing/runs';
import { rectangle } from './figures';
import type { Point } from './frame';
import { overlap_mm2, polygonArea_mm2, spill_mm2, uncovered_mm2 } from './polygons';
import { polygonDistance_mm } from './regions';

/* Against polygon-clipping, an independent library that cuts curves exactly; where its sweep gives up nothing is compared. */

const ring = (points: readonly Point[]): Polygon => [points.map(({ x, y }): [number, number] => [x, y])];
const area = (polygons: readonly Polygon[]) =>
  polygons.reduce(
    (sum, polygon) =>
      sum +
      polygon.reduce((own, points, i) => {
        const one = polygonArea_mm2(points.map(([x, y]) => ({ x, y })));
        return own + (i === 0 ? one : -one);
      }, 0),
    0,
  );
const mm = fc.double({ min: -8, max: 8, noNaN: true }).map((value) => Math.round(value * 100) / 100);
/** A star-shaped curve: it does not cross itself, and need not be convex. */
const star = fc
  .record({
    x: mm,
    y: mm,
    radii: fc.array(fc.double({ min: 0.5, max: 4, noNaN: true }), { minLength: 3, maxLength: 12 }),
  })
  .map(({ x, y, radii }) =>
    radii.map((r, i): Point => {
      const turn = (2 * Math.PI * i) / radii.length;
      return { x: x + r * Math.cos(turn), y: y + r * Math.sin(turn) };
    }),
  );

it('areas of several curves, and what lies outside another', () => {
  let compared = 0;
  fc.assert(
    fc.property(fc.array(star, { minLength: 1, maxLength: 5 }), star, (curves, outer) => {
      const { all, out } = spill_mm2(curves, outer);
      let exact: { all: number; out: number };
      try {
        const together = clipping.union([], ...curves.map((curve) => [ring(curve)]));
        exact = { all: area(together), out: area(clipping.difference(together, [ring(outer)])) };
      } catch {
        return;
      }
      compared += 1;
      expect(Math.abs(all - exact.all)).toBeLessThan(0.01 * exact.all + 0.01);
      expect(Math.abs(out - exact.out)).toBeLessThan(0.01 * exact.all + 0.01);
    }),
    { numRuns: runs(200, 5000) },
  );
  expect(compared).toBeGreaterThan(150);
});

it('what covers leave open of a curve', () => {
  fc.assert(
    fc.property(star, fc.array(star, { maxLength: 4 }), (curve, covers) => {
      const open = uncovered_mm2(
        curve,
        covers.map((cover) => (x: number, y: number) => polygonDistance_mm(cover, x, y)),
      );
      let exact: number;
      try {
        exact = area(clipping.difference([ring(curve)], ...covers.map((cover) => [ring(cover)])));
      } catch {
        return;
      }
      expect(Math.abs(open - exact)).toBeLessThan(0.02 * polygonArea_mm2(curve) + 0.02);
    }),
    { numRuns: runs(100, 2000) },
  );
});

it('a charm with bays and points beside another, and a nail that is drawn in at its sides', () => {
  const formed = fc.record({
    shape: fc.constantFrom(...CHARM_SHAPES),
    x: fc.integer({ min: -30, max: 30 }),
    y: fc.integer({ min: -30, max: 30 }),
    size: fc.integer({ min: 15, max: 40 }),
  });
  const curve = ({ shape, x, y, size }: { shape: CharmShape; x: number; y: number; size: number }) =>
    CHARM_FORMS[shape].outline.map((one) => ({ x: (x + size * one.x) / 10, y: (y + size * one.y) / 10 }));
  const round = (points: Point[]) =>
    ring(points.map(({ x, y }) => ({ x: Math.round(x * 1e4) / 1e4, y: Math.round(y * 1e4) / 1e4 })));
  fc.assert(
    fc.property(formed, formed, (a, b) => {
      let exact: number;
      try {
        exact = area(clipping.intersection([round(curve(a))], [round(curve(b))]));
      } catch {
        return;
      }
      // Read in lines 0.05 mm apart: of edges that run along a line, as a bow's do, so much of it may be missed.
      expect(Math.abs(overlap_mm2(curve(a), curve(b)) - exact)).toBeLessThan(0.08 + 0.005 * exact);
    }),
    { numRuns: runs(200, 4000) },
  );
});

it('two convex curves', () => {
  const piece = fc.record({
    x: fc.integer({ min: -30, max: 30 }),
    y: fc.integer({ min: -30, max: 30 }),
    w: fc.integer({ min: 2, max: 50 }),
    h: fc.integer({ min: 2, max: 50 }),
    turn: fc.integer({ min: -180, max: 180 }),
  });
  const curve = (p: { x: number; y: number; w: number; h: number; turn: number }) =>
    rectangle(p.x / 10, p.y / 10, p.w / 10, p.h / 10, p.turn);
  fc.assert(
    fc.property(piece, piece, (a, b) => {
      // To a tenth of a micrometre: finer, the library's sweep loses edges.
      const round = (points: Point[]) =>
        ring(points.map(({ x, y }) => ({ x: Math.round(x * 1e4) / 1e4, y: Math.round(y * 1e4) / 1e4 })));
      let exact: number;
      try {
        exact = area(clipping.intersection([round(curve(a))], [round(curve(b))]));
      } catch {
        return;
      }
      expect(overlap_mm2(curve(a), curve(b))).toBeCloseTo(exact, 1);
    }),
    {
      numRuns: 300,
      examples: [
        [
          { x: 9, y: 0, w: 2, h: 25, turn: 5 },
          { x: 6, y: -3, w: 31, h: 4, turn: -180 },
        ],
      ],
    },
  );
});

it('curves that lie on each other, cross themselves, or are no area at all have an answer', () => {
  const square: Point[] = [
    { x: 0, y: 0 },
    { x: 2, y: 0 },
    { x: 2, y: 2 },
    { x: 0, y: 2 },
  ];
  expect(spill_mm2([square, square, square], square).all).toBeCloseTo(4, 6);
  expect(spill_mm2([square, square], square).out).toBeCloseTo(0, 6);
  const bow: Point[] = [square[0]!, square[2]!, square[1]!, square[3]!];
  expect(spill_mm2([bow], square).all).toBeCloseTo(2, 1);
  const flat: Point[] = [
    { x: 0, y: 1 },
    { x: 3, y: 1 },
    { x: 5, y: 1 },
  ];
  expect(spill_mm2([flat], square)).toEqual({ all: 0, out: 0 });
  expect(spill_mm2([], square)).toEqual({ all: 0, out: 0 });
  expect(uncovered_mm2(flat, [])).toBe(0);
  // Nothing lies over it: all of it is open.
  expect(uncovered_mm2(square, [])).toBeCloseTo(4, 6);
});
