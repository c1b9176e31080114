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

/** Area in mm² that several curves enclose together, and the part of it outside `outer`. */
export function spill_mm2(
  curves: readonly (readonly Point[])[],
  outer: readonly Point[],
): { all: number; out: number } {
  const rings = curves.map(ring);
  const together = rings.length > 1 ? clipping.union(rings[0]!, ...rings.slice(1)) : rings;
  return { all: area_mm2(together), out: area_mm2(clipping.difference(together, ring(outer))) };
}

/** Area shared by two curves, in mm². */
export function overlap_mm2(a: readonly Point[], b: readonly Point[]): number {
  return area_mm2(clipping.intersection(ring(a), ring(b)));
}

/** Area of `inner` that lies outside `outer`, in mm². */
export function outside_mm2(inner: readonly Point[], outer: readonly Point[]): number {
  return area_mm2(clipping.difference(ring(inner), ring(outer)));
}

/** Area of `inner` that none of `areas` covers, in mm²; their holes count as not covered. */
export function uncovered_mm2(inner: readonly Point[], areas: readonly Area[]): number {
  let left: MultiPolygon = [ring(inner)];
  for (const area of areas) {
    const holes = (area.holes ?? []).map((hole) => ring(disc(hole.x, hole.y, hole.r_mm)));
    const whole = area.polygons.map(ring);
    left = clipping.difference(left, holes.length > 0 ? clipping.difference(whole, ...holes) : whole);
    if (left.length === 0) return 0;
  }
  return area_mm2(left);
}
