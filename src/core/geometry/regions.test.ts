import type { Region } from '../regions';
import fc from 'fast-check';
import { makeFrame, outlineDistance_mm, outlinePolygon } from './frame';
import { disc, rectangle } from './figures';
import { overlap_mm2, polygonArea_mm2, uncovered_mm2 } from './polygons';
import { AS_DRAWN, leaveFree, polygonDistance_mm, smileLine } from './regions';
import { layRegion } from '../regions';
import { SHAPES } from '../model/shapes';

const frame = (shape: (typeof SHAPES)[number] = 'almond') =>
  makeFrame({ width_mm: 12, arch_mm: 3, bed_mm: 12, free_mm: 6, radiusAlong_mm: 60, shape });

describe('the outline', () => {
  it.each(SHAPES)(
    '%s: full width on the bed, none past the ends, and its distance agrees with its curve',
    (shape) => {
      const nail = frame(shape);
      expect(nail.halfWidth_mm(nail.bed_mm * 0.6)).toBeCloseTo(nail.arc_mm / 2, 1);
      expect(nail.halfWidth_mm(-0.01)).toBe(0);
      expect(nail.halfWidth_mm(nail.length_mm + 0.01)).toBe(0);
      const polygon = outlinePolygon(nail, 200);
      fc.assert(
        fc.property(
          fc.double({ min: -9, max: 9, noNaN: true }),
          fc.double({ min: -2, max: 20, noNaN: true }),
          (x, y) => {
            const exact = polygonDistance_mm(polygon, x, y);
            if (Math.abs(exact) < 0.12) return;
            expect(Math.sign(outlineDistance_mm(nail, x, y))).toBe(Math.sign(exact));
          },
        ),
      );
    },
  );

  it.each(SHAPES)('%s: the distance is that to its curve, near it and beside it', (shape) => {
    const nail = frame(shape);
    const polygon = outlinePolygon(nail, 400);
    fc.assert(
      fc.property(
        fc.double({ min: -1, max: 1, noNaN: true }),
        fc.double({ min: 0.3, max: 0.7, noNaN: true }),
        (share, along) => {
          const y = along * nail.length_mm;
          const x = share * nail.halfWidth_mm(y);
          const told = outlineDistance_mm(nail, x, y);
          const exact = polygonDistance_mm(polygon, x, y);
          // Square to the outline at the same height: exact where it is straight, a little more where it bends.
          expect(told).toBeGreaterThan(exact - 0.02);
          if (exact < 1) expect(told).toBeLessThan(exact * 1.25 + 0.03);
        },
      ),
    );
    expect(outlineDistance_mm(nail, 0, -2)).toBeCloseTo(-2, 6);
    expect(outlineDistance_mm(nail, nail.arc_mm / 2 + 3, -4)).toBeLessThan(-4);
  });

  it('pointed shapes are narrower near the tip than square ones', () => {
    const near = 17;
    expect(frame('stiletto').halfWidth_mm(near)).toBeLessThan(frame('almond').halfWidth_mm(near));
    expect(frame('almond').halfWidth_mm(near)).toBeLessThan(frame('square').halfWidth_mm(near));
  });
});

describe('regions', () => {
  it('a smile line has its rise in the middle, its depth at the ends, its tilt between them', () => {
    const nail = frame();
    const line = smileLine(nail, { rise_mm: 0.5, depth_mm: 2, tilt_mm: 1 });
    const half = nail.arc_mm / 2;
    expect(line(0)).toBeCloseTo(nail.bed_mm + 0.5, 9);
    expect((line(half) + line(-half)) / 2).toBeCloseTo(nail.bed_mm - 1.5, 9);
    expect(line(half) - line(-half)).toBeCloseTo(1, 9);
  });

  it('is turned over on the other hand: left for right, and nothing else', () => {
    const nail = frame();
    const region = { kind: 'tip', smile: { rise_mm: 0, depth_mm: 2, tilt_mm: 2 } } as const;
    const drawn = layRegion(nail, region);
    const turned = layRegion(nail, region, { ...AS_DRAWN, mirror: true });
    fc.assert(
      fc.property(
        fc.double({ min: -7, max: 7, noNaN: true }),
        fc.double({ min: 0, max: 18, noNaN: true }),
        (x, y) => {
          expect(turned.distance_mm(-x, y)).toBeCloseTo(drawn.distance_mm(x, y), 9);
        },
      ),
    );
  });

  it('bands that share an edge part the nail: their areas add up to it', () => {
    const nail = frame('square');
    const whole = polygonArea_mm2(outlinePolygon(nail));
    const low = layRegion(nail, { kind: 'band', from: 0, to: 1 });
    const high = layRegion(nail, { kind: 'band', from: 1, to: 2 });
    const outline = outlinePolygon(nail);
    const sum = overlap_mm2(low.polygons[0]!, outline) + overlap_mm2(high.polygons[0]!, outline);
    expect(sum).toBeCloseTo(whole, 0);
    expect(overlap_mm2(low.polygons[0]!, high.polygons[0]!)).toBeLessThan(0.05);
  });

  it('leaves discs free, and what lies in a hole is not covered', () => {
    const nail = frame();
    const whole = layRegion(nail, { kind: 'whole' });
    const around = leaveFree(whole, [{ x: 0, y: 6, r_mm: 1 }], 0.15);
    expect(whole.distance_mm(0, 6)).toBeGreaterThan(0);
    expect(around.distance_mm(0, 6)).toBeLessThan(0);
    expect(uncovered_mm2(disc(0, 6, 0.8), [whole.distance_mm])).toBeCloseTo(0, 6);
    expect(uncovered_mm2(disc(0, 6, 0.8), [around.distance_mm])).toBeCloseTo(
      polygonArea_mm2(disc(0, 6, 0.8)),
      3,
    );
  });
});

describe('the distance to a curve', () => {
  const point = fc.record({
    x: fc.double({ min: -8, max: 8, noNaN: true }),
    y: fc.double({ min: -8, max: 8, noNaN: true }),
  });

  it('to a rectangle is what school geometry says', () => {
    const square = rectangle(0, 0, 6, 4, 0);
    fc.assert(
      fc.property(point, ({ x, y }) => {
        const [dx, dy] = [Math.abs(x) - 3, Math.abs(y) - 2];
        const exact = dx <= 0 && dy <= 0 ? -Math.max(dx, dy) : -Math.hypot(Math.max(0, dx), Math.max(0, dy));
        expect(polygonDistance_mm(square, x, y)).toBeCloseTo(exact, 9);
      }),
    );
  });

  it('grows no faster than one walks, and changes its sign only on the curve', () => {
    const star = Array.from({ length: 10 }, (_, i) => {
      const r = i % 2 === 0 ? 6 : 2.5;
      return { x: r * Math.cos((i * Math.PI) / 5), y: r * Math.sin((i * Math.PI) / 5) };
    });
    fc.assert(
      fc.property(point, point, (a, b) => {
        const [here, there] = [polygonDistance_mm(star, a.x, a.y), polygonDistance_mm(star, b.x, b.y)];
        expect(Math.abs(here - there)).toBeLessThanOrEqual(Math.hypot(a.x - b.x, a.y - b.y) + 1e-9);
      }),
    );
    for (const { x, y } of star) expect(Math.abs(polygonDistance_mm(star, x, y))).toBeLessThan(1e-9);
  });

  it('is told of a curve without extent as of a point', () => {
    expect(polygonDistance_mm([{ x: 1, y: 1 }], 4, 5)).toBeCloseTo(-5, 9);
  });
});

describe('areas', () => {
  it('of simple figures are what school geometry says', () => {
    expect(polygonArea_mm2(rectangle(1, 2, 3, 4, 30))).toBeCloseTo(12, 3);
    expect(polygonArea_mm2(disc(0, 0, 2, 400))).toBeCloseTo(Math.PI * 4, 2);
    expect(overlap_mm2(rectangle(0, 0, 2, 2, 0), rectangle(1, 1, 2, 2, 0))).toBeCloseTo(1, 6);
    const square = rectangle(0, 0, 2, 2, 0);
    const over = rectangle(1, 1, 2, 2, 0);
    expect(uncovered_mm2(square, [(x, y) => polygonDistance_mm(over, x, y)])).toBeCloseTo(3, 3);
  });

  it('hold the skin margin, and the size they were drawn in, for every kind of region', () => {
    const nail = frame();
    const laying = { ...AS_DRAWN, margin_mm: 0.25 };
    const regions: Region[] = [
      { kind: 'whole' },
      { kind: 'band', from: 0, to: 1 },
      { kind: 'tip', smile: { rise_mm: -4, depth_mm: 2, tilt_mm: 0 } },
      { kind: 'oval', across: 0.8, along: 0.3, width_mm: 9, length_mm: 9, turn_deg: 0 },
      {
        kind: 'outline',
        points: [
          { across: 0.2, along: 0.2 },
          { across: 1.4, along: 0.2 },
          { across: 1.4, along: 0.8 },
        ],
      },
    ];
    for (const region of regions) {
      const { distance_mm } = layRegion(nail, region, laying);
      for (let i = 0; i <= 20; i += 1) {
        const y = (i / 20) * nail.bed_mm * 0.5;
        expect(distance_mm(nail.halfWidth_mm(y) - 0.1, y)).toBeLessThan(0);
      }
    }
    const small = makeFrame({
      width_mm: 8,
      arch_mm: 1.5,
      bed_mm: 10,
      free_mm: 5,
      radiusAlong_mm: 0,
      shape: 'oval',
    });
    const area = (region: Region, keep: boolean) =>
      polygonArea_mm2(layRegion(small, region, { ...AS_DRAWN, keep }).polygons[0]!);
    const outline = regions[4]!;
    expect(area(outline, true) / area(outline, false)).toBeCloseTo((14 / small.arc_mm) ** 2, 3);
    expect(area({ kind: 'band', from: 0.4, to: 0.6 }, true)).toBeGreaterThan(
      area({ kind: 'band', from: 0.4, to: 0.6 }, false) * 1.2,
    );
  });
});
