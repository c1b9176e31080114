import { makeFrame, outlineDistance_mm } from '../geometry/frame';
import { AS_DRAWN } from '../geometry/regions';
import { SHAPES } from '../model/shapes';
import { letters } from './letters';
import { layRegion, Region, REGION_KINDS, type Region as Part } from '.';

const frame = makeFrame({
  width_mm: 12,
  arch_mm: 3,
  bed_mm: 12,
  free_mm: 6,
  radiusAlong_mm: 60,
  shape: 'almond',
});
const each = REGION_KINDS.map((kind) => [kind.kind, kind] as const);

/** Every spot of a lattice over the nail and a little past it. */
function spots(): { x: number; y: number }[] {
  const out = [];
  for (let y = -0.9; y < 19; y += 0.37) for (let x = -7.4; x < 7.5; x += 0.31) out.push({ x, y });
  return out;
}

/** Inside a polygon by even and odd crossings; shares no code with the program's. */
function isIn(polygon: readonly { x: number; y: number }[], x: number, y: number): boolean {
  let crossings = 0;
  polygon.forEach((a, i) => {
    const b = polygon[(i + 1) % polygon.length]!;
    if (a.y > y === b.y > y) return;
    if (a.x + ((y - a.y) * (b.x - a.x)) / (b.y - a.y) > x) crossings += 1;
  });
  return crossings % 2 === 1;
}

describe.each(each)('a part of the nail: %s', (_, kind) => {
  const variants = (): Part[] => [
    kind.fresh,
    ...(kind.switches ?? []).map(({ turned }) => turned(kind.fresh)),
  ];

  it('starts as a file may hold it, and so does each way it can be switched', () => {
    for (const region of variants()) expect(Region.safeParse(region)).toMatchObject({ success: true });
  });

  it('covers by its curve what it covers by its distance', () => {
    for (const region of variants()) {
      const { polygons, distance_mm } = layRegion(frame, region);
      for (const { x, y } of spots()) {
        const into = distance_mm(x, y);
        // Where the curve runs nearby, either may round it otherwise; past the nail only the distance is cut.
        if (Math.abs(into) < 0.35 || outlineDistance_mm(frame, x, y) < 0.35) continue;
        const inside = polygons.some((polygon) => isIn(polygon, x, y));
        expect([region.kind, x, y, inside]).toEqual([region.kind, x, y, into > 0]);
      }
    }
  });

  it('keeps off the skin by its curve as by its distance, where the nail bounds it', () => {
    if (!['whole', 'half', 'band', 'bed'].includes(kind.kind)) return;
    for (const region of variants()) {
      const { polygons, distance_mm } = layRegion(frame, region, { ...AS_DRAWN, margin_mm: 0.55 });
      const past = polygons.flat().filter(({ x, y }) => distance_mm(x, y) < -0.2);
      expect([region, past]).toEqual([region, []]);
    }
  });

  it('turned over on the other hand is its mirror image, but for letters, which are read', () => {
    if (kind.kind === 'letters') return;
    for (const region of variants()) {
      const one = layRegion(frame, region);
      const other = layRegion(frame, region, { ...AS_DRAWN, mirror: true });
      for (const { x, y } of spots()) expect(other.distance_mm(-x, y)).toBeCloseTo(one.distance_mm(x, y), 6);
    }
  });

  it('keeps off the skin, and lies on nails of every shape', () => {
    for (const shape of SHAPES) {
      const nail = makeFrame({ width_mm: 9, arch_mm: 2, bed_mm: 10, free_mm: 4, radiusAlong_mm: 0, shape });
      for (const region of variants()) {
        const { distance_mm } = layRegion(nail, region, { ...AS_DRAWN, margin_mm: 0.25 });
        for (let y = 0; y < 4; y += 0.5)
          expect(distance_mm(nail.halfWidth_mm(y) - 0.05, y)).toBeLessThanOrEqual(0);
      }
    }
  });

  it('is moved by its handles and stays as a file may hold it', () => {
    const on = { frame, side: 1, scale: 1, size: 1 } as const;
    for (const region of variants())
      for (const handle of kind.handles(region, on))
        for (const to of [{ x: 2, y: 5 }, { x: -30, y: 60 }, { x: 0, y: -9 }, handle.at])
          expect(Region.safeParse(handle.move(to))).toMatchObject({ success: true });
  });

  it('a handle that is let go where it lies changes next to nothing', () => {
    const on = { frame, side: 1, scale: 1, size: 1 } as const;
    for (const region of variants())
      for (const handle of kind.handles(region, on)) {
        const after = layRegion(frame, handle.move(handle.at));
        const before = layRegion(frame, region);
        for (const { x, y } of spots().filter((_spot, i) => i % 7 === 0))
          expect(Math.abs(after.distance_mm(x, y) - before.distance_mm(x, y))).toBeLessThan(0.12);
      }
  });
});

describe('letters in two lines', () => {
  const written = { ...letters.fresh, text: 'ACT', second: 'ONE', height_mm: 3 };
  const heights = (of: typeof written | typeof letters.fresh, mirror = false) => {
    const ys = letters
      .lay(frame, of, { mirror, scale: 1, margin_mm: 0 })
      .polygons.flat()
      .map(({ y }) => y);
    return [Math.min(...ys), Math.max(...ys)] as const;
  };

  it('stand one below the other, about the middle of both', () => {
    const one = { ...letters.fresh, text: 'ACT', height_mm: 3 };
    const [low, high] = heights(written);
    const [alone, top] = heights(one);
    expect((low + high) / 2).toBeCloseTo((alone + top) / 2, 1);
    // Two heights, and four tenths of one between the lines.
    expect(high - low - (top - alone)).toBeCloseTo(3 * 1.4, 1);
  });

  it('take as long as both lines, and are said', () => {
    const seconds = (of: typeof written) => letters.drawn_s!(of);
    expect(seconds({ ...written, text: 'ENCORE', second: 'ENCORE' })).toBe(
      2 * seconds({ ...written, text: 'ENCORE', second: ' ' }),
    );
    expect(letters.says(written, () => 'on the nail bed', 1)).toContain('“ACT / ONE”');
  });

  it('are turned round for the onlooker by a switch, and back', () => {
    const turn = letters.switches!.find(({ words }) => words.includes('onlooker'))!;
    const turned = turn.turned(written);
    expect(turn.is(turned)).toBe(true);
    expect(turn.turned(turned)).toMatchObject({ turn_deg: 0 });
  });
});
