import clipping, { type MultiPolygon, type Polygon } from 'polygon-clipping';
import type { Point } from './frame';
import { disc } from './figures';
import type { Area } from './regions';

/** Polygons for exact areas; the boolean work itself is polygon-clipping's. */
function ring(points: readonly Point[]): Polygon {
  return [points.map((point): [number, number] => [round(point.x), round(point.y)])];
}

/** A tenth of a micrometre: finer than any work here, coarse enough to keep the sweep robust. */
function round(value: number): number {
  return Math.round(value * 1e4) / 1e4;
}

/** Area in mm² of a set of polygons, holes taken off. */
export function area_mm2(polygons: MultiPolygon): number {
  let total = 0;
  for (const polygon of polygons) {
    polygon.forEach((points, index) => {
      let twice = 0;
      for (let i = 0; i < points.length; i += 1) {
        const [x1, y1] = points[i]!;
        const [x2, y2] = points[(i + 1) % points.length]!;
        twice += x1 * y2 - x2 * y1;
      }
      total += ((index === 0 ? 1 : -1) * Math.abs(twice)) / 2;
    });
  }
  return total;
}

export function polygonArea_mm2(points: readonly Point[]): number {
  return area_mm2([ring(points)]);
}

/** Rounded again between steps: what comes out of one boolean is not round enough for the next. */
function rounded(polygons: MultiPolygon): MultiPolygon {
  return polygons.map((polygon) =>
    polygon.map((points) => points.map(([x, y]): [number, number] => [round(x), round(y)])),
  );
}

/**
 * The sweep behind the booleans fails on some nearly coincident edges. A hair's shift of one side parts them;
 * an answer a few micrometres off is better than none.
 */
function steady(clip: (shift_mm: number) => MultiPolygon): MultiPolygon {
  for (const shift_mm of [0, 2.3e-4, -3.1e-4, 7.7e-4, -1.3e-3]) {
    try {
      return rounded(clip(shift_mm));
    } catch {
      continue;
    }
  }
  return [];
}

function shifted(polygons: MultiPolygon, by: number): MultiPolygon {
  if (by === 0) return polygons;
  return polygons.map((polygon) =>
    polygon.map((points) => points.map(([x, y]): [number, number] => [x + by, y + by * 0.37])),
  );
}

function union(parts: readonly MultiPolygon[]): MultiPolygon {
  return steady((by) => clipping.union([], ...parts.map((part, i) => shifted(part, by * i))));
}

function difference(a: MultiPolygon, ...others: MultiPolygon[]): MultiPolygon {
  return steady((by) => clipping.difference(a, ...others.map((other, i) => shifted(other, by * (i + 1)))));
}

function intersection(a: MultiPolygon, b: MultiPolygon): MultiPolygon {
  return steady((by) => clipping.intersection(a, shifted(b, by)));
}

/** Area in mm² that several curves enclose together, and the part of it outside `outer`. */
export function spill_mm2(
  curves: readonly (readonly Point[])[],
  outer: readonly Point[],
): { all: number; out: number } {
  const together = union(curves.map((curve) => [ring(curve)]));
  return { all: area_mm2(together), out: area_mm2(difference(together, [ring(outer)])) };
}

/**
 * Area shared by two convex curves, in mm²: one is cut by each edge of the other (Sutherland & Hodgman 1974),
 * in time that does not grow with how they meet.
 */
export function overlap_mm2(a: readonly Point[], b: readonly Point[]): number {
  const turn = Math.sign(signedArea(b)) || 1;
  let left: Point[] = [...a];
  for (let i = 0; i < b.length && left.length > 0; i += 1) {
    const p = b[i]!;
    const q = b[(i + 1) % b.length]!;
    const side = (at: Point) => turn * ((q.x - p.x) * (at.y - p.y) - (q.y - p.y) * (at.x - p.x));
    const next: Point[] = [];
    left.forEach((from, k) => {
      const to = left[(k + 1) % left.length]!;
      const d0 = side(from);
      const d1 = side(to);
      if (d0 >= 0) next.push(from);
      if (d0 >= 0 !== d1 >= 0) {
        const t = d0 / (d0 - d1);
        next.push({ x: from.x + t * (to.x - from.x), y: from.y + t * (to.y - from.y) });
      }
    });
    left = next;
  }
  return Math.abs(signedArea(left));
}

function signedArea(points: readonly Point[]): number {
  let twice = 0;
  points.forEach((p, i) => {
    const q = points[(i + 1) % points.length]!;
    twice += p.x * q.y - q.x * p.y;
  });
  return twice / 2;
}

/** The parts of a nail that films cover together, as one figure to take pieces off. */
export function covered(areas: readonly Area[]): MultiPolygon {
  return union(
    areas.map((area) => {
      const holes = (area.holes ?? []).map((hole): MultiPolygon => [ring(disc(hole.x, hole.y, hole.r_mm))]);
      const drawn = union(area.polygons.map((polygon) => [ring(polygon)]));
      const laid = area.within ? intersection(drawn, [ring(area.within)]) : drawn;
      return holes.length > 0 ? difference(laid, ...holes) : laid;
    }),
  );
}

/** Area of `inner` that a cover leaves open, in mm². */
export function uncovered_mm2(inner: readonly Point[], cover: MultiPolygon): number {
  return area_mm2(difference([ring(inner)], cover));
}
