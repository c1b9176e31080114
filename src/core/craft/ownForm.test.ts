import fc from 'fast-check';
import { crossesItself, convexHull } from '../geometry/crossing';
import type { Point } from '../geometry/frame';
import { polygonArea_mm2 } from '../geometry/polygons';
import { drawnCharm } from '../testing/charms';
import { MOST_OUTLINE_POINTS, Outline, outlineOf } from './ownForm';

const point = fc.record({
  x: fc.double({ min: -8, max: 8, noNaN: true }),
  y: fc.double({ min: 0, max: 20, noNaN: true }),
});
const star = (count: number, step: number): Point[] =>
  Array.from({ length: count }, (_, i) => {
    const angle = (2 * Math.PI * i * step) / count;
    return { x: Math.cos(angle), y: Math.sin(angle) };
  });

describe('an outline drawn by hand', () => {
  it('keeps its size and place, whatever is drawn: a good outline, or none', () => {
    fc.assert(
      fc.property(fc.array(point, { maxLength: 200 }), (line) => {
        const own = outlineOf(line);
        if (!own) return;
        expect(Outline.safeParse(own.outline).success).toBe(true);
        expect(own.outline.length).toBeLessThanOrEqual(MOST_OUTLINE_POINTS);
        const xs = own.outline.map((one) => own.middle.x + (one.x * own.width_mm) / 2);
        // To a thousandth of its half, as it is written.
        expect(Math.max(...xs) - Math.min(...xs)).toBeCloseTo(own.width_mm, 1);
        for (const side of [(one: Point) => one.x, (one: Point) => one.y]) {
          expect(Math.max(...own.outline.map(side))).toBe(1);
          expect(Math.min(...own.outline.map(side))).toBe(-1);
        }
      }),
    );
  });

  it.each<[string, Point[], boolean]>([
    ['a triangle', star(3, 1), false],
    ['a pentagon', star(5, 1), false],
    ['a pentagram', star(5, 2), true],
    [
      'a bow tie',
      [
        { x: -1, y: -1 },
        { x: 1, y: 1 },
        { x: 1, y: -1 },
        { x: -1, y: 1 },
      ],
      true,
    ],
    [
      'an L',
      [
        { x: -1, y: -1 },
        { x: 1, y: -1 },
        { x: 1, y: 0 },
        { x: 0, y: 0 },
        { x: 0, y: 1 },
        { x: -1, y: 1 },
      ],
      false,
    ],
  ])('%s crosses itself: %#', (_words, points, crosses) => {
    expect(crossesItself(points)).toBe(crosses);
    expect(Outline.safeParse(points).success).toBe(!crosses);
    // Drawn around, none does, and it holds as much at least.
    const hull = convexHull(points);
    expect(crossesItself(hull)).toBe(false);
    expect(polygonArea_mm2(hull)).toBeGreaterThanOrEqual(Math.abs(polygonArea_mm2(points)) - 1e-9);
  });

  it('of no length, of a dot, of a straight line there is none', () => {
    expect(outlineOf([])).toBeUndefined();
    expect(outlineOf(Array.from({ length: 50 }, () => ({ x: 1, y: 2 })))).toBeUndefined();
    expect(outlineOf(Array.from({ length: 50 }, (_, i) => ({ x: i / 10, y: 2 })))).toBeUndefined();
  });

  it('is the charm itself: on the picture, in the top about it, and its mirror image on the other hand', () => {
    const line = [
      { x: -2, y: 6 },
      { x: 2.4, y: 6 },
      { x: 2.4, y: 8 },
      { x: -2, y: 11 },
    ];
    const left = drawnCharm('left-ring', line);
    const right = drawnCharm('right-ring', line);
    expect(left.element).toMatchObject({ shape: 'own', width_mm: 4.4, length_mm: 5, turn_deg: 0 });
    // Drawn on that nail, it lies there as it was drawn.
    for (const one of [left, right])
      expect(one.drawn.map(({ x, y }) => [x, y])).toEqual(
        line.map(({ x, y }) => [expect.closeTo(x, 1), expect.closeTo(y, 1)]),
      );
    // On the other hand it is turned over.
    expect(left.other.map(({ x, y }) => [x, y])).toEqual(
      line.map(({ x, y }) => [expect.closeTo(-x, 1), expect.closeTo(y, 1)]),
    );
    expect(left.findings).toEqual([]);
  });
});
