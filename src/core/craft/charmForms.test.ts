import { overlap_mm2, polygonArea_mm2 } from '../geometry/polygons';
import type { Point } from '../geometry/frame';
import { CHARM_SHAPES } from '../model/charmShapes';
import { leastOf, mostOf } from '../model/extent';
import { CHARM_FORMS } from './charmForms';

describe.each(CHARM_SHAPES)('a charm formed as a %s', (shape) => {
  const { outline, height, open } = CHARM_FORMS[shape];

  it('fills its width and length, and its outline does not cross itself', () => {
    for (const side of ['x', 'y'] as const) {
      const all = outline.map((one) => one[side]);
      expect(leastOf(all)).toBeGreaterThanOrEqual(-1.001);
      expect(mostOf(all)).toBeLessThanOrEqual(1.001);
      expect(mostOf(all) - leastOf(all)).toBeGreaterThan(1.75);
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

it('no two charms are formed alike', () => {
  const outlines = CHARM_SHAPES.map((shape) => JSON.stringify(CHARM_FORMS[shape].outline));
  const words = CHARM_SHAPES.map((shape) => CHARM_FORMS[shape].words);
  expect(new Set(outlines).size).toBe(CHARM_SHAPES.length);
  expect(new Set(words).size).toBe(CHARM_SHAPES.length);
});
