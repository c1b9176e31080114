import type { Point } from './frame';
import { chance } from '../model/chance';
import { leastOf, mostOf } from '../model/extent';

/** A convex thing to be laid, as half sizes in mm; an oval is taken as its eight-cornered hull. */
export interface Packable {
  half_width_mm: number;
  half_length_mm: number;
  round: boolean;
}

export interface Packed extends Point {
  body: Packable;
  turn_deg: number;
}

export interface Packing {
  /** Where things may lie: distance into the region in mm, negative outside. */
  into_mm: (x: number, y: number) => number;
  box: { left: number; right: number; low: number; high: number };
  /** Free room between any two, and to the region's edge. */
  margin_mm: number;
  /** What is laid, in turn; sizes repeat until nothing fits. */
  bodies: readonly Packable[];
  /** Whether a thing may lie just so; `kind`: which of the bodies it is. */
  accepts?: (one: Packed, kind: number) => boolean;
  /** How far a thing may turn off the nail's length. */
  turn_deg: number;
  most: number;
  /** Places tried for each thing. */
  tries: number;
  seed: number;
}

/**
 * Things strewn over a region without any lying over another: random sequential addition, each laid where, of the
 * places tried, it leaves the least room beside what lies there already. The same seed lays the same.
 */
export function pack(wanted: Packing): Packed[] {
  const { into_mm, box, margin_mm, bodies, accepts, turn_deg, most, tries, seed } = wanted;
  const by = chance(seed);
  const laid: Packed[] = [];
  const hulls: Point[][] = [];
  while (laid.length < most) {
    const kind = laid.length % bodies.length;
    const body = bodies[kind]!;
    let best: { one: Packed; hull: Point[]; room: number } | undefined;
    for (let t = 0; t < tries; t += 1) {
      const one: Packed = {
        x: box.left + by.next() * (box.right - box.left),
        y: box.low + by.next() * (box.high - box.low),
        body,
        turn_deg: Math.round((by.next() * 2 - 1) * turn_deg),
      };
      if (accepts && !accepts(one, kind)) continue;
      const hull = hullOf(one, margin_mm / 2);
      const inner = leastOf(hull.map((corner) => into_mm(corner.x, corner.y)));
      if (inner < margin_mm / 2 || hulls.some((other) => meets(hull, other))) continue;
      // Snug against two things at once, edge or neighbour, nothing is lost between them.
      const gaps = [
        inner,
        ...laid.map(
          (other) => Math.hypot(other.x - one.x, other.y - one.y) - reach(other.body) - reach(body),
        ),
      ].sort((a, b) => a - b);
      const room = gaps[0]! + (gaps[1] ?? 0) / 2;
      if (!best || room < best.room) best = { one, hull, room };
    }
    if (!best) break;
    laid.push(best.one);
    hulls.push(best.hull);
  }
  return laid;
}

function reach({ half_width_mm, half_length_mm }: Packable): number {
  return Math.min(half_width_mm, half_length_mm);
}

/** The corners of a thing as it lies, grown by a margin. */
export function hullOf({ x, y, body, turn_deg }: Packed, grown_mm = 0): Point[] {
  const turn = (turn_deg * Math.PI) / 180;
  const [cos, sin] = [Math.cos(turn), Math.sin(turn)];
  const w = body.half_width_mm + grown_mm;
  const l = body.half_length_mm + grown_mm;
  // Eight corners round an oval touch it in the middle of their sides.
  const cut = Math.SQRT2 - 1;
  const corners: [number, number][] = body.round
    ? [
        [w, l * cut],
        [w * cut, l],
        [-w * cut, l],
        [-w, l * cut],
        [-w, -l * cut],
        [-w * cut, -l],
        [w * cut, -l],
        [w, -l * cut],
      ]
    : [
        [w, l],
        [-w, l],
        [-w, -l],
        [w, -l],
      ];
  return corners.map(([a, b]) => ({ x: x + a * cos - b * sin, y: y + a * sin + b * cos }));
}

/** Whether two convex outlines share any room (separating axes). */
export function meets(a: readonly Point[], b: readonly Point[]): boolean {
  return !parted(a, b) && !parted(b, a);
}

function parted(a: readonly Point[], b: readonly Point[]): boolean {
  return a.some((corner, i) => {
    const next = a[(i + 1) % a.length]!;
    const [nx, ny] = [next.y - corner.y, corner.x - next.x];
    const along = (point: Point) => point.x * nx + point.y * ny;
    const far = mostOf(a.map(along));
    const near = leastOf(b.map(along));
    return near >= far - 1e-9;
  });
}
