import { disc } from './figures';
import type { Point } from './frame';

/** Dots in rows about a place, all turned about it: so many, so wide, so far from middle to middle. */
export interface Dots {
  rows: number;
  columns: number;
  dot_mm: number;
  pitch_mm: number;
  turn_deg: number;
  at: Point;
  /** Every other row lies half a step aside. */
  staggered: boolean;
  /** −1 where all of it is turned over, and the first row lies aside the other way. */
  side?: 1 | -1;
}

/** The middles of all dots. Staggered rows lie as close as dots can: √3/2 of the pitch (hexagonal packing). */
export function dotMiddles({ rows, columns, pitch_mm, turn_deg, at, staggered, side = 1 }: Dots): Point[] {
  const turn = (turn_deg * Math.PI) / 180;
  const [cos, sin] = [Math.cos(turn), Math.sin(turn)];
  const rise = staggered ? (pitch_mm * Math.sqrt(3)) / 2 : pitch_mm;
  return Array.from({ length: rows * columns }, (_, i) => {
    const row = Math.floor(i / columns);
    const aside = staggered ? side * (row % 2 === 0 ? -0.25 : 0.25) : 0;
    const x = ((i % columns) - (columns - 1) / 2 + aside) * pitch_mm;
    const y = (row - (rows - 1) / 2) * rise;
    return { x: at.x + x * cos - y * sin, y: at.y + x * sin + y * cos };
  });
}

/** Each dot as a closed curve. */
export function dotPolygons(dots: Dots): Point[][] {
  return spotPolygons(dotMiddles(dots), dots.dot_mm);
}

/** Distance into the nearest dot, in mm, negative between them. */
export function dotsDistance_mm(dots: Dots): (x: number, y: number) => number {
  return spotsDistance_mm(dotMiddles(dots), dots.dot_mm);
}

/** Dots of one size wherever their middles lie, each as a closed curve. */
export function spotPolygons(middles: readonly Point[], dot_mm: number): Point[][] {
  return middles.map(({ x, y }) => disc(x, y, dot_mm / 2));
}

/** Distance into the nearest of such dots, in mm, negative between them. */
export function spotsDistance_mm(
  middles: readonly Point[],
  dot_mm: number,
): (x: number, y: number) => number {
  return (x, y) => {
    let nearest2 = Infinity;
    for (const middle of middles) nearest2 = Math.min(nearest2, (x - middle.x) ** 2 + (y - middle.y) ** 2);
    return dot_mm / 2 - Math.sqrt(nearest2);
  };
}

/** A bend sharper than this is a corner: a dot stands on it. */
const CORNER = Math.cos(Math.PI / 5);

/**
 * Dots set along lines, about `pitch_mm` from middle to middle: one at each end and corner, the others evenly between. Where lines
 * meet, one dot serves both.
 */
export function dotsAlong(lines: readonly (readonly Point[])[], pitch_mm: number): Point[] {
  const dots: Point[] = [];
  for (const line of lines)
    for (const stretch of betweenCorners(line))
      for (const dot of evenly(stretch, pitch_mm))
        if (!dots.some((one) => Math.hypot(one.x - dot.x, one.y - dot.y) < pitch_mm * 0.6)) dots.push(dot);
  return dots;
}

function betweenCorners(line: readonly Point[]): Point[][] {
  const stretches: Point[][] = [];
  let from = 0;
  for (let i = 1; i < line.length; i += 1) {
    if (i < line.length - 1 && !isCorner(line[i - 1]!, line[i]!, line[i + 1]!)) continue;
    stretches.push(line.slice(from, i + 1));
    from = i;
  }
  return stretches;
}

function isCorner(a: Point, b: Point, c: Point): boolean {
  const [ux, uy, vx, vy] = [b.x - a.x, b.y - a.y, c.x - b.x, c.y - b.y];
  return ux * vx + uy * vy < CORNER * Math.hypot(ux, uy) * Math.hypot(vx, vy);
}

function evenly(line: readonly Point[], pitch_mm: number): Point[] {
  const lengths = line.slice(1).map((to, i) => Math.hypot(to.x - line[i]!.x, to.y - line[i]!.y));
  const whole = lengths.reduce((sum, one) => sum + one, 0);
  const steps = Math.max(1, Math.round(whole / pitch_mm));
  return Array.from({ length: steps + 1 }, (_, k) => {
    let left = (whole * k) / steps;
    let i = 0;
    while (i < lengths.length - 1 && left > lengths[i]!) {
      left -= lengths[i]!;
      i += 1;
    }
    const share = lengths[i]! > 0 ? Math.min(1, left / lengths[i]!) : 0;
    const [a, b] = [line[i]!, line[i + 1]!];
    return { x: a.x + (b.x - a.x) * share, y: a.y + (b.y - a.y) * share };
  });
}
