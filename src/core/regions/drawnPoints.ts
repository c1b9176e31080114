import * as z from 'zod/mini';
import type { Point } from '../geometry/frame';
import { acrossAt, alongAt, clamp, placeSays, share, type Handle } from './handle';
import { spotAt_mm, type OnNail } from './on';

/** Corners may lie past the nail: what is drawn is cut by it. */
const PAST = { across: 1.5, from: -0.5, to: 2.5 } as const;
export const MOST_POINTS = 60;

/** A point of a line or outline drawn by hand, by share and landmark. */
export const DrawnPoint = z.strictObject({
  across: z.number().check(z.gte(-PAST.across), z.lte(PAST.across)),
  along: z.number().check(z.gte(PAST.from), z.lte(PAST.to)),
});
export type DrawnPoint = z.infer<typeof DrawnPoint>;

/** The middle of drawn points. */
export function middleOf(points: readonly DrawnPoint[]): DrawnPoint {
  const mean = (of: (point: DrawnPoint) => number) =>
    points.reduce((sum, point) => sum + of(point), 0) / points.length;
  return { across: mean((point) => point.across), along: mean((point) => point.along) };
}

/** Each point of a drawn line or outline, to be moved by itself. */
export function cornerHandles<R extends { points: DrawnPoint[] }>(region: R, on: OnNail): Handle<R>[] {
  const drawn = region.points.map((point) => spotAt_mm(point, on));
  const count = drawn.length;
  const middle = {
    x: drawn.reduce((sum, point) => sum + point.x, 0) / count,
    y: drawn.reduce((sum, point) => sum + point.y, 0) / count,
  };
  // Kept at the size it was drawn in, an outline on a narrow nail is larger about its middle, and so are its moves.
  const { size } = on;
  const gain = 1 / count + size * (1 - 1 / count);
  return drawn.map((point, i): Handle<R> => {
    const at = {
      x: middle.x + size * (point.x - middle.x),
      y: middle.y + size * (point.y - middle.y),
    };
    return {
      id: `point-${i}`,
      words: `corner ${i + 1}`,
      at,
      says: placeSays(at),
      move: (to) => {
        const spot = {
          x: point.x + (to.x - at.x) / gain,
          y: point.y + (to.y - at.y) / gain,
        };
        const next = drawnSpot(spot, on);
        return { ...region, points: region.points.map((one, k) => (k === i ? next : one)) };
      },
    };
  });
}

/** A point of this nail as drawn lines and outlines hold it: they may lead past the nail. */
export function drawnSpot(to: Point, on: OnNail): DrawnPoint {
  return heldPoint(acrossAt(on, to.x), alongAt(on.frame, to.y));
}

/** The nearest point that a drawn line may hold. */
export function heldPoint(across: number, along: number): DrawnPoint {
  return {
    across: share(clamp(across, -PAST.across, PAST.across)),
    along: share(clamp(along, PAST.from, PAST.to)),
  };
}
