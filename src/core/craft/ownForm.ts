import * as z from 'zod/mini';
import { crossesItself, convexHull } from '../geometry/crossing';
import type { Point } from '../geometry/frame';
import { leastOf, mostOf } from '../model/extent';
import { rounded } from '../model/rounded';
import { puffed, type CharmForm } from './charmForms';

/** Fewer points are no outline; more than these an eye does not tell apart on a nail. */
const LEAST_POINTS = 3;
export const MOST_OUTLINE_POINTS = 60;

const Share = z.number().check(z.gte(-1), z.lte(1));

/** An outline of one's own, in shares of half width and half length, as charms are formed. */
export const Outline = z.array(z.strictObject({ x: Share, y: Share })).check(
  z.minLength(LEAST_POINTS),
  z.maxLength(MOST_OUTLINE_POINTS),
  z.refine((points) => !crossesItself(points), 'must not cross itself'),
);

/** Cast or moulded in it: round at the edge, level in the middle. */
export function ownForm(outline: readonly Point[]): CharmForm {
  return {
    words: 'My own',
    outline,
    height: (_x, _y, inside) => puffed(inside),
  };
}

/** An outline as it is on a hand: the same, or (side −1) its mirror image. */
export function turnedOver(outline: readonly Point[], side: number): Point[] {
  return outline.map(({ x, y }) => ({ x: side * x, y }));
}

export interface OwnOutline {
  outline: Point[];
  middle: Point;
  width_mm: number;
  length_mm: number;
}

/**
 * A closed line drawn in mm, as an outline about its middle; one that crosses itself is drawn around. Undefined where it
 * encloses nothing.
 */
export function outlineOf(line: readonly Point[]): OwnOutline | undefined {
  const few = thinned(line);
  const points = few.length >= LEAST_POINTS && crossesItself(few) ? convexHull(few) : few;
  if (points.length < LEAST_POINTS) return undefined;
  const range = (of: (point: Point) => number) => {
    const all = points.map(of);
    const [low, high] = [leastOf(all), mostOf(all)];
    return { middle: (low + high) / 2, half: (high - low) / 2 };
  };
  const [x, y] = [range((point) => point.x), range((point) => point.y)];
  if (x.half < LEAST_HALF_MM || y.half < LEAST_HALF_MM) return undefined;
  return {
    outline: points.map((point) => ({
      x: rounded((point.x - x.middle) / x.half, 3),
      y: rounded((point.y - y.middle) / y.half, 3),
    })),
    middle: { x: x.middle, y: y.middle },
    width_mm: 2 * x.half,
    length_mm: 2 * y.half,
  };
}

/** Nobody sets anything smaller by hand. */
const LEAST_HALF_MM = 0.15;

/** As many points as are kept, evenly taken; an end that comes back to the beginning is one with it. */
function thinned(line: readonly Point[]): Point[] {
  const every = Math.max(1, Math.ceil(line.length / MOST_OUTLINE_POINTS));
  const points = line.filter((_, i) => i % every === 0);
  const [first, last] = [points[0], points.at(-1)];
  if (first && last && points.length > LEAST_POINTS && Math.hypot(first.x - last.x, first.y - last.y) < 0.1)
    points.pop();
  return points;
}
