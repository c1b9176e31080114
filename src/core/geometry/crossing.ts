import type { Point } from './frame';

/** Whether a closed curve crosses itself: two of its sides that are no neighbours meet. For curves of some dozens of points. */
export function crossesItself(points: readonly Point[]): boolean {
  const count = points.length;
  for (let i = 0; i < count; i += 1) {
    for (let j = i + 2; j < count; j += 1) {
      // The last side is a neighbour of the first.
      if (i === 0 && j === count - 1) continue;
      if (meet(points[i]!, points[i + 1]!, points[j]!, points[(j + 1) % count]!)) return true;
    }
  }
  return false;
}

/** Whether two sides cross; sides that only touch do not. */
function meet(a: Point, b: Point, c: Point, d: Point): boolean {
  return side(a, b, c) * side(a, b, d) < 0 && side(c, d, a) * side(c, d, b) < 0;
}

/** Positive where c lies to the left of the line from a to b. */
function side(a: Point, b: Point, c: Point): number {
  return (b.x - a.x) * (c.y - a.y) - (b.y - a.y) * (c.x - a.x);
}

/** The smallest curve without dents that holds all points (Andrew's monotone chain, 1979). */
export function convexHull(points: readonly Point[]): Point[] {
  const sorted = [...points].sort((a, b) => a.x - b.x || a.y - b.y);
  const chain = (from: readonly Point[]) => {
    const line: Point[] = [];
    for (const point of from) {
      while (line.length > 1 && side(line.at(-2)!, line.at(-1)!, point) <= 0) line.pop();
      line.push(point);
    }
    return line.slice(0, -1);
  };
  return [...chain(sorted), ...chain([...sorted].reverse())];
}
