import svgpath from 'svgpath';
import { fail, ok, type Result } from '../model/result';

export const MOST_CHARACTERS = 200_000;
const MOST_PARTS = 20_000;
interface Point {
  x: number;
  y: number;
}

/** The points that a line is laid through. */
const POINTS = 400;
/** Straight stretches that a curve is read as. */
const STRETCHES = 12;

/**
 * The line of an SVG path's `d`, as 401 points evenly along it, in the path's own units and its own sense of down. What a
 * path skips by moving on has no length. Faults have the path `path`.
 */
export function svgLine(d: string): Result<Point[]> {
  if (d.length > MOST_CHARACTERS)
    return fail('path', `has ${d.length.toLocaleString('en')} characters: at most 200,000`);
  const read = svgpath(d) as ReturnType<typeof svgpath> & { err?: string; segments: unknown[] };
  if (read.err || read.segments.length < 2)
    return fail('path', 'is no path: it begins with M and leads somewhere');
  if (read.segments.length > MOST_PARTS)
    return fail('path', `has ${read.segments.length.toLocaleString('en')} parts: at most 20,000`);
  const runs = drawn(read);
  const length = runs.reduce((sum, run) => sum + lengthOf(run), 0);
  if (!Number.isFinite(length) || length <= 0)
    return fail('path', 'is no path: it begins with M and leads somewhere');
  return ok(along(runs, length));
}

/** Its strokes without a gap, each as a chain of points. */
function drawn(path: ReturnType<typeof svgpath>): Point[][] {
  const runs: Point[][] = [];
  let run: Point[] = [];
  path
    .abs()
    .unshort()
    .unarc()
    .iterate((segment, _, x, y) => {
      const from = { x, y };
      const to = (px: number, py: number) => run.push({ x: px, y: py });
      switch (segment[0]) {
        case 'M':
          run = [{ x: segment[1], y: segment[2] }];
          runs.push(run);
          break;
        case 'L':
          to(segment[1], segment[2]);
          break;
        case 'H':
          to(segment[1], y);
          break;
        case 'V':
          to(x, segment[1]);
          break;
        case 'Q':
          curve(run, from, [at(segment, 1), at(segment, 3)]);
          break;
        case 'C':
          curve(run, from, [at(segment, 1), at(segment, 3), at(segment, 5)]);
          break;
        case 'Z':
        case 'z': {
          const start = run[0];
          if (!start) break;
          run.push({ ...start });
          run = [{ ...start }];
          runs.push(run);
        }
      }
    }, true);
  return runs;
}

const at = (segment: readonly unknown[], i: number): Point => ({
  x: segment[i] as number,
  y: segment[i + 1] as number,
});

/** A Bézier curve of two or three further points, by de Casteljau's steps. */
function curve(run: Point[], from: Point, further: readonly Point[]): void {
  for (let k = 1; k <= STRETCHES; k += 1) {
    const t = k / STRETCHES;
    let row = [from, ...further];
    while (row.length > 1)
      row = row.slice(1).map((next, i) => ({
        x: row[i]!.x + (next.x - row[i]!.x) * t,
        y: row[i]!.y + (next.y - row[i]!.y) * t,
      }));
    run.push(row[0]!);
  }
}

function lengthOf(run: readonly Point[]): number {
  return run.slice(1).reduce((sum, { x, y }, i) => sum + Math.hypot(x - run[i]!.x, y - run[i]!.y), 0);
}

function along(runs: readonly (readonly Point[])[], length: number): Point[] {
  const points: Point[] = [];
  let gone = 0;
  for (const run of runs)
    for (let i = 1; i < run.length; i += 1) {
      const [a, b] = [run[i - 1]!, run[i]!];
      const step = Math.hypot(b.x - a.x, b.y - a.y);
      while (points.length <= POINTS && (points.length * length) / POINTS <= gone + step) {
        const share = step === 0 ? 0 : ((points.length * length) / POINTS - gone) / step;
        points.push({ x: a.x + (b.x - a.x) * share, y: a.y + (b.y - a.y) * share });
      }
      gone += step;
    }
  // What rounding has left over is the end.
  const end = runs.findLast((run) => run.length > 1)!.at(-1)!;
  while (points.length <= POINTS) points.push({ ...end });
  return points;
}
