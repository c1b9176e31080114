import type { Point } from './frame';

/** A disc as a polygon. */
export function disc(x: number, y: number, r_mm: number, steps = 20): Point[] {
  return Array.from({ length: steps }, (_, i) => {
    const angle = (2 * Math.PI * i) / steps;
    return { x: x + r_mm * Math.cos(angle), y: y + r_mm * Math.sin(angle) };
  });
}

/** The point that lies `share` of the way from one to another. */
export function partWay(from: Point, to: Point, share: number): Point {
  return { x: from.x + share * (to.x - from.x), y: from.y + share * (to.y - from.y) };
}

/** What lies between a closed curve and another inside it that runs the same way, as one curve: out along the one, back along the other. */
export function between(outer: readonly Point[], inner: readonly Point[]): Point[] {
  return [...outer, outer[0]!, inner[0]!, ...inner.toReversed()];
}

/** A rectangle `width` × `length`, turned by `turn_deg`, about its middle. */
export function rectangle(
  x: number,
  y: number,
  width_mm: number,
  length_mm: number,
  turn_deg: number,
): Point[] {
  const turn = (turn_deg * Math.PI) / 180;
  const cos = Math.cos(turn);
  const sin = Math.sin(turn);
  return [
    [-1, -1],
    [1, -1],
    [1, 1],
    [-1, 1],
  ].map(([i, j]) => {
    const px = (i! * width_mm) / 2;
    const py = (j! * length_mm) / 2;
    return { x: x + px * cos - py * sin, y: y + px * sin + py * cos };
  });
}
