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
  return dotMiddles(dots).map(({ x, y }) => disc(x, y, dots.dot_mm / 2));
}

/** Distance into the nearest dot, in mm, negative between them. */
export function dotsDistance_mm(dots: Dots): (x: number, y: number) => number {
  const middles = dotMiddles(dots);
  return (x, y) => {
    let nearest2 = Infinity;
    for (const middle of middles) nearest2 = Math.min(nearest2, (x - middle.x) ** 2 + (y - middle.y) ** 2);
    return dots.dot_mm / 2 - Math.sqrt(nearest2);
  };
}
