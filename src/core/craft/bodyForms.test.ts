import { overlap_mm2, polygonArea_mm2 } from '../geometry/polygons';
import type { Point } from '../geometry/frame';
import { leastOf, mostOf } from '../model/extent';
import { BODY_FORMS } from './bodyForms';
import type { BodyShape } from './matter';
import { manyOf, PIECE_CUTS } from './pieceCuts';

const SHAPES = Object.keys(BODY_FORMS) as BodyShape[];

describe.each(SHAPES)('a body formed as a %s', (shape) => {
  const { outline, height, open } = BODY_FORMS[shape];

  it('fills its width and length, and its outline does not cross itself', () => {
    for (const side of ['x', 'y'] as const) {
      const all = outline.map((one) => one[side]);
      expect(leastOf(all)).toBeGreaterThanOrEqual(-1.001);
      expect(mostOf(all)).toBeLessThanOrEqual(1.001);
      expect(mostOf(all) - leastOf(all)).toBeGreaterThan(1.73);
    }
    // A curve that crosses itself encloses with both signs: its area by the shoelace is less than what it covers.
    const square = [
      { x: -2, y: -2 },
      { x: 2, y: -2 },
      { x: 2, y: 2 },
      { x: -2, y: 2 },
    ];
    const area = Math.abs(polygonArea_mm2([...outline]));
    expect(area).toBeGreaterThan(0.5);
    expect(Math.abs(overlap_mm2(square, [...outline]) - area)).toBeLessThan(0.01 * area);
  });

  it('is the same in a mirror', () => {
    const covered = (points: readonly Point[]) => overlap_mm2([...points], [...outline]);
    const mirrored = outline.map((one) => ({ x: -one.x, y: one.y })).reverse();
    expect(Math.abs(covered(mirrored) - polygonArea_mm2([...outline]))).toBeLessThan(0.01);
  });

  it('is nowhere deeper than its edge nor much higher than its height, and stands somewhere at nearly all of it', () => {
    const shares = Array.from({ length: 81 }, (_, i) => i / 40 - 1);
    const heights = shares.flatMap((x) =>
      shares.flatMap((y) => [0, 0.3, 1].map((inside) => ({ at: height(x, y, inside), hole: open?.(x, y) }))),
    );
    const all = heights.map(({ at }) => at);
    expect(all.every(Number.isFinite)).toBe(true);
    expect(leastOf(all)).toBeGreaterThanOrEqual(-0.35);
    expect(mostOf(all)).toBeLessThanOrEqual(1.35);
    expect(mostOf(heights.filter(({ hole }) => !hole).map(({ at }) => at))).toBeGreaterThan(0.7);
  });
});

it('no two bodies are called alike, and none is formed as another but what is the same figure', () => {
  // A disc is a ring's outline, a square a rectangle's.
  const figures = SHAPES.filter((shape) => shape !== 'disc' && shape !== 'square');
  expect(new Set(figures.map((shape) => JSON.stringify(BODY_FORMS[shape].outline))).size).toBe(
    figures.length,
  );
  expect(new Set(SHAPES.map((shape) => BODY_FORMS[shape].words)).size).toBe(SHAPES.length);
});

describe('what pieces are cut as', () => {
  it('has a hexagon that is regular where it is as long as wide', () => {
    // Of a regular hexagon by its corners' distance from its middle.
    const area = Math.abs(polygonArea_mm2([...BODY_FORMS.hexagon.outline]));
    expect(area).toBeCloseTo((3 * Math.sqrt(3)) / 2, 9);
  });

  it.each(Object.values(PIECE_CUTS).filter(({ round }) => round))(
    'lays a $words closer, for it lies within its oval',
    ({ form }) => {
      expect(mostOf(BODY_FORMS[form].outline.map(({ x, y }) => Math.hypot(x, y)))).toBeLessThan(1.001);
    },
  );

  it('counts each by its name', () => {
    const words = Object.values(PIECE_CUTS).map((cut) => cut.words);
    expect(new Set(words).size).toBe(words.length);
    expect(words.map(manyOf)).toEqual(Object.values(PIECE_CUTS).map(({ many }) => many));
  });
});
