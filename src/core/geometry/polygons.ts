import { partWay } from './figures';
import type { Point } from './frame';
import { leastOf, mostOf } from '../model/extent';

/** Area in mm² that a closed curve encloses (shoelace formula). */
export function polygonArea_mm2(points: readonly Point[]): number {
  return Math.abs(signedArea(points));
}

/** Lines across that an area is read along: each is exact, and between them a curve is taken for straight. */
const ROWS = 500;

/**
 * Area in mm² that several curves enclose together, and the part of it outside `outer`: read line by line, in time that
 * grows with their points alone and for any curves there are, crossing themselves or lying on each other.
 */
export function spill_mm2(
  curves: readonly (readonly Point[])[],
  outer: readonly Point[],
): { all: number; out: number } {
  const ys = curves.flatMap((curve) => curve.map((point) => point.y));
  if (ys.length === 0) return { all: 0, out: 0 };
  const low = ys.reduce((a, b) => Math.min(a, b));
  const high = ys.reduce((a, b) => Math.max(a, b));
  const step = (high - low) / ROWS;
  const rows = Array.from({ length: ROWS }, (_, i) => low + (i + 0.5) * step);
  const inner = rows.map((): Span[] => []);
  for (const curve of curves) addSpans(curve, rows, inner);
  const bounds = rows.map((): Span[] => []);
  addSpans(outer, rows, bounds);
  let all = 0;
  let out = 0;
  inner.forEach((spans, i) => {
    const together = joined(spans);
    const within = joined(bounds[i]!);
    all += lengthOf(together) * step;
    out += (lengthOf(together) - shared(together, within)) * step;
  });
  return { all, out: Math.max(0, out) };
}

/** A stretch of a line across, from left to right. */
type Span = readonly [number, number];

/** Adds where each row runs inside a curve: between its crossings, two by two. */
function addSpans(curve: readonly Point[], rows: readonly number[], into: Span[][]): void {
  const crossings = new Map<number, number[]>();
  const first = rows[0] ?? 0;
  const step = (rows[1] ?? first + 1) - first;
  curve.forEach((p, k) => {
    const q = curve[(k + 1) % curve.length]!;
    const [a, b] = p.y < q.y ? [p, q] : [q, p];
    if (a.y === b.y || step <= 0) return;
    const from = Math.max(0, Math.ceil((a.y - first) / step));
    for (let i = from; i < rows.length && rows[i]! < b.y; i += 1) {
      if (rows[i]! < a.y) continue;
      const x = a.x + ((b.x - a.x) * (rows[i]! - a.y)) / (b.y - a.y);
      const known = crossings.get(i);
      if (known) known.push(x);
      else crossings.set(i, [x]);
    }
  });
  for (const [i, xs] of crossings) {
    xs.sort((a, b) => a - b);
    for (let k = 0; k + 1 < xs.length; k += 2) into[i]!.push([xs[k]!, xs[k + 1]!]);
  }
}

/** Spans that touch made one, from left to right. */
function joined(spans: readonly Span[]): Span[] {
  const found: [number, number][] = [];
  for (const [from, to] of [...spans].sort((a, b) => a[0] - b[0])) {
    const last = found[found.length - 1];
    if (last && from <= last[1]) last[1] = Math.max(last[1], to);
    else found.push([from, to]);
  }
  return found;
}

function lengthOf(spans: readonly Span[]): number {
  return spans.reduce((sum, [from, to]) => sum + to - from, 0);
}

function shared(a: readonly Span[], b: readonly Span[]): number {
  let sum = 0;
  for (const [from, to] of a)
    for (const [left, right] of b) sum += Math.max(0, Math.min(to, right) - Math.max(from, left));
  return sum;
}

/** Area shared by two curves, in mm²: exact where one of them is convex, else read line by line. */
export function overlap_mm2(a: readonly Point[], b: readonly Point[]): number {
  if (isConvex(b)) return clipped_mm2(a, b);
  if (isConvex(a)) return clipped_mm2(b, a);
  const { all, out } = spill_mm2([a], b);
  return all - out;
}

/** Whether a curve turns one way only; nearly straight corners count as straight. */
function isConvex(points: readonly Point[]): boolean {
  let [left, right] = [0, 0];
  points.forEach((p, i) => {
    const q = points[(i + 1) % points.length]!;
    const r = points[(i + 2) % points.length]!;
    const turn = (q.x - p.x) * (r.y - q.y) - (q.y - p.y) * (r.x - q.x);
    if (turn > 1e-9) left += 1;
    if (turn < -1e-9) right += 1;
  });
  return left === 0 || right === 0;
}

/**
 * Area of a curve within a convex one: it is cut by each edge of it (Sutherland & Hodgman 1974), in time that does not
 * grow with how they meet. Where it falls apart its parts hang together by edges that enclose nothing.
 */
function clipped_mm2(a: readonly Point[], b: readonly Point[]): number {
  const turn = Math.sign(signedArea(b)) || 1;
  let left: Point[] = [...a];
  for (let i = 0; i < b.length && left.length > 0; i += 1) {
    const p = b[i]!;
    const q = b[(i + 1) % b.length]!;
    const side = (at: Point) => turn * ((q.x - p.x) * (at.y - p.y) - (q.y - p.y) * (at.x - p.x));
    left = onSide(left, side);
  }
  return polygonArea_mm2(left);
}

/** What of a closed curve lies on one side of a straight line: where `side`, linear in the point, is not negative. */
export function onSide(curve: readonly Point[], side: (at: Point) => number): Point[] {
  const kept: Point[] = [];
  curve.forEach((from, k) => {
    const to = curve[(k + 1) % curve.length]!;
    const d0 = side(from);
    const d1 = side(to);
    if (d0 >= 0) kept.push(from);
    if (d0 >= 0 !== d1 >= 0) kept.push(partWay(from, to, d0 / (d0 - d1)));
  });
  return kept;
}

function signedArea(points: readonly Point[]): number {
  let twice = 0;
  points.forEach((p, i) => {
    const q = points[(i + 1) % points.length]!;
    twice += p.x * q.y - q.x * p.y;
  });
  return twice / 2;
}

/** Spots that a curve is looked at in: close enough for a sliver of a few hundredths of a mm². */
const PITCH_MM = 0.05;
const MOST_SPOTS = 4000;

/** Area in mm² of a closed curve that no cover reaches; `covers` are positive where they lie, the widest first. */
export function uncovered_mm2(
  curve: readonly Point[],
  covers: readonly ((x: number, y: number) => number)[],
): number {
  const area = polygonArea_mm2(curve);
  const [xs, ys] = [curve.map((point) => point.x), curve.map((point) => point.y)];
  const [left, right, low, high] = [leastOf(xs), mostOf(xs), leastOf(ys), mostOf(ys)];
  const pitch = Math.max(PITCH_MM, Math.sqrt(((right - left) * (high - low)) / MOST_SPOTS));
  const rows = Array.from({ length: Math.max(1, Math.round((high - low) / pitch)) }, (_, i) => i);
  const step = (high - low) / rows.length;
  const at = rows.map((i) => low + (i + 0.5) * step);
  const spans = at.map((): Span[] => []);
  addSpans(curve, at, spans);
  let looked = 0;
  let open = 0;
  // What covers a spot mostly covers the next one too.
  let last = 0;
  const reaches = (x: number, y: number) => {
    const before = covers[last];
    if (before && before(x, y) > 0) return true;
    const found = covers.findIndex((distance_mm) => distance_mm !== before && distance_mm(x, y) > 0);
    if (found >= 0) last = found;
    return found >= 0;
  };
  spans.forEach((row, i) => {
    for (const [from, to] of row) {
      const count = Math.max(1, Math.round((to - from) / pitch));
      for (let k = 0; k < count; k += 1) {
        const x = from + ((k + 0.5) * (to - from)) / count;
        looked += 1;
        if (!reaches(x, at[i]!)) open += 1;
      }
    }
  });
  return looked > 0 ? (area * open) / looked : 0;
}
