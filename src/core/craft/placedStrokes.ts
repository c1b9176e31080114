import * as z from 'zod/mini';
import { outlineDistance_mm, type NailFrame, type Point } from '../geometry/frame';
import { Across, Along, Turn } from '../model/primitives';
import type { Region } from '../regions';
import { drawnSpot, middleOf } from '../regions/drawnPoints';
import { spotOf } from '../regions/handle';
import { spotAt_mm, type OnNail } from '../regions/on';

/** Where a drawing is placed once more: about its own middle, so large, turned, turned over. */
export const Spot = z.strictObject({
  across: Across,
  along: Along,
  size: z.number().check(z.gte(0.1), z.lte(3), z.meta({ step: 0.05 })),
  turn_deg: Turn,
  mirrored: z.boolean(),
});
export type Spot = z.infer<typeof Spot>;

/** Across and along are shares of this nail; nothing is turned over for a hand yet. */
const as = (frame: NailFrame) => ({ frame, side: 1 as const, scale: 1, size: 1 });

/** The middle of what is drawn in all colours together; undefined where nothing is drawn by hand. */
export function middleOfStrokes(regions: readonly Region[]): { across: number; along: number } | undefined {
  const points = regions.flatMap((region) =>
    region.kind === 'paths' ? region.paths.flatMap((path) => path.points) : [],
  );
  return points.length > 0 ? middleOf(points) : undefined;
}

/**
 * A drawing's regions as they lie where it is placed: every stroke at every spot, its width with its size; without spots just as it was
 * drawn. A spot whose middle lies off this nail is dropped. What is no drawing by hand stays where it is.
 */
export function placedStrokes(
  regions: readonly Region[],
  spots: readonly Spot[],
  frame: NailFrame,
): (Region | undefined)[] {
  const middle = middleOfStrokes(regions);
  if (spots.length === 0 || !middle) return [...regions];
  const on = as(frame);
  const centre = spotAt_mm(middle, on);
  const kept = placedSpots(spots, frame).map((spot) => ({ spot, at: spotAt_mm(spot, on) }));
  return regions.map((region): Region | undefined => {
    if (region.kind !== 'paths') return region;
    const paths = kept.flatMap(({ spot, at }) =>
      region.paths.map((path) => ({
        ...path,
        width_mm: Math.max(Math.min(THINNEST_MM, path.width_mm), path.width_mm * spot.size),
        points: path.points.map((point) => drawnSpot(moved(spotAt_mm(point, on), centre, at, spot), on)),
      })),
    );
    return paths.length > 0 ? { ...region, paths } : undefined;
  });
}

/** The spots whose middles lie on this nail. */
export function placedSpots(spots: readonly Spot[], frame: NailFrame): Spot[] {
  return spots.filter((spot) => {
    const { x, y } = spotAt_mm(spot, as(frame));
    return outlineDistance_mm(frame, x, y) > 0;
  });
}

/** Drawn smaller, a stroke keeps what a fine liner leaves (common practice). */
const THINNEST_MM = 0.2;

/** A point of a drawing about one middle as it lies about another: so large, turned, turned over. */
export function moved(
  point: Point,
  from: Point,
  to: Point,
  { size, turn_deg, mirrored }: Pick<Spot, 'size' | 'turn_deg' | 'mirrored'>,
): Point {
  const turn = (turn_deg * Math.PI) / 180;
  const [x, y] = [(point.x - from.x) * (mirrored ? -1 : 1) * size, (point.y - from.y) * size];
  return {
    x: to.x + x * Math.cos(turn) - y * Math.sin(turn),
    y: to.y + x * Math.sin(turn) + y * Math.cos(turn),
  };
}

const spot = (across: number, along: number, size: number, turn_deg = 0, mirrored = false): Spot => ({
  across,
  along,
  size,
  turn_deg,
  mirrored,
});

/** The rules by which a drawing is placed many times, as an artist asks for them. */
export const PLACINGS: readonly {
  key: string;
  words: string;
  says: string;
  spots: (chance: () => number) => Spot[];
}[] = [
  {
    key: 'row',
    words: 'In a row',
    says: 'Along the middle, smaller towards the tip.',
    spots: () => [spot(0, 0.4, 0.55), spot(0, 0.95, 0.5), spot(0, 1.5, 0.42)],
  },
  {
    key: 'round',
    words: 'Round a place',
    says: 'Five of them in a ring, each turned outwards.',
    spots: () =>
      Array.from({ length: 5 }, (_, i) => {
        const turn = (2 * Math.PI * i) / 5;
        const turn_deg = Math.round((-turn * 180) / Math.PI);
        return spot(
          0.48 * Math.sin(turn),
          0.85 + 0.34 * Math.cos(turn),
          0.34,
          turn_deg < -180 ? turn_deg + 360 : turn_deg,
        );
      }),
  },
  {
    key: 'strewn',
    words: 'Strewn',
    says: 'Strewn with room, each turned otherwise; again for another throw.',
    spots: strewn,
  },
  {
    key: 'pair',
    words: 'A mirrored pair',
    says: 'One on either side of the middle, the other turned over.',
    spots: () => [spot(-0.45, 0.85, 0.5), spot(0.45, 0.85, 0.5, 0, true)],
  },
  { key: 'once', words: 'Just as drawn', says: 'Once, where it was drawn.', spots: () => [] },
];

/** So many are strewn, and this far apart at least, as shares of the half arc. */
const STREWN = 7;
const APART = 0.55;

function strewn(chance: () => number): Spot[] {
  const laid: Spot[] = [];
  for (let tries = 0; laid.length < STREWN && tries < 200; tries += 1) {
    const next = spot(
      Math.round((chance() * 1.5 - 0.75) * 100) / 100,
      Math.round((0.2 + chance() * 1.4) * 100) / 100,
      Math.round((0.22 + chance() * 0.14) * 100) / 100,
      Math.round((chance() * 300 - 150) / 5) * 5,
    );
    const room = laid.every(
      (one) => Math.hypot(one.across - next.across, (one.along - next.along) * 1.6) > APART,
    );
    if (room) laid.push(next);
  }
  return laid;
}

/** So many are placed along a line, at most, and this far from middle to middle at least: what two small ones want. */
const MOST_ALONG = 7;
const APART_MM = 2.6;
const ALONG_SIZE = 0.32;

/** Places along a line that was drawn on the nail, evenly, each turned with it; `on`: the nail it was drawn on. */
export function spotsAlong(line: readonly Point[], on: OnNail): Spot[] {
  const far = [0];
  line
    .slice(1)
    .forEach((point, i) => far.push(far[i]! + Math.hypot(point.x - line[i]!.x, point.y - line[i]!.y)));
  const length = far.at(-1)!;
  const count = Math.max(1, Math.min(MOST_ALONG, 1 + Math.floor(length / APART_MM)));
  return Array.from({ length: count }, (_, k) => {
    const at = count === 1 ? length / 2 : (length * k) / (count - 1);
    const i = Math.max(
      1,
      far.findIndex((one) => one >= at - 1e-9),
    );
    const [a, b] = [line[i - 1] ?? line[0]!, line[i] ?? line[0]!];
    const share = far[i]! > far[i - 1]! ? (at - far[i - 1]!) / (far[i]! - far[i - 1]!) : 0;
    const { across, along } = spotOf({ x: a.x + (b.x - a.x) * share, y: a.y + (b.y - a.y) * share }, on);
    // Upright where the line runs towards the tip, and as the left hand has it.
    const turn = on.side * (Math.atan2(b.y - a.y, b.x - a.x) - Math.PI / 2);
    const turn_deg = Math.round((((turn * 180) / Math.PI + 540) % 360) - 180);
    return spot(across, along, ALONG_SIZE, turn_deg);
  });
}
