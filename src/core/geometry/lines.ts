import type { Point } from './frame';

/** Lines side by side: so many, so wide, so far from middle to middle, all turned about the place they lie at. */
export interface Lines {
  count: number;
  width_mm: number;
  pitch_mm: number;
  turn_deg: number;
  at: Point;
  /** A second set lies square to them. */
  crossed: boolean;
  /** They swing to either side. */
  wave?: { rise_mm: number; length_mm: number };
  /** They are broken: so long, so far from one to the next; one lies about the place. */
  dash?: { long_mm: number; gap_mm: number };
}

/** Longer than any nail. */
const LONG_MM = 70;

interface Set {
  /** The direction the lines run in. */
  ux: number;
  uy: number;
}

function setsOf({ turn_deg, crossed }: Lines): Set[] {
  const turn = (turn_deg * Math.PI) / 180;
  const one = { ux: -Math.sin(turn), uy: Math.cos(turn) };
  return crossed ? [one, { ux: Math.cos(turn), uy: Math.sin(turn) }] : [one];
}

function offsets({ count, pitch_mm }: Lines): number[] {
  return Array.from({ length: count }, (_, i) => (i - (count - 1) / 2) * pitch_mm);
}

/** Each line as a long rectangle; what swings or is broken, as strips of short ones. */
export function linePolygons(lines: Lines): Point[][] {
  if (lines.wave || lines.dash) return stripped(lines);
  return setsOf(lines).flatMap(({ ux, uy }) =>
    offsets(lines).map((off) => {
      const [x, y] = [lines.at.x + uy * off, lines.at.y - ux * off];
      const w = lines.width_mm / 2;
      const corner = (along: number, side: number) => ({
        x: x + ux * along * LONG_MM + uy * side * w,
        y: y + uy * along * LONG_MM - ux * side * w,
      });
      return [corner(-1, -1), corner(1, -1), corner(1, 1), corner(-1, 1)];
    }),
  );
}

/** A wave is followed by so many stretches in each of its lengths, and no further than any nail reaches. */
const WAVE_STEPS = 12;

function stripped(lines: Lines): Point[][] {
  const { wave } = lines;
  return setsOf(lines).flatMap(({ ux, uy }) =>
    offsets(lines).flatMap((off) =>
      stretches(lines).flatMap((stretch) => {
        const line = stretch.map((along) => {
          const side = off + (wave ? swing(wave, along) : 0);
          return { x: lines.at.x + ux * along + uy * side, y: lines.at.y + uy * along - ux * side };
        });
        return stripPolygons(line, lines.width_mm);
      }),
    ),
  );
}

/** Where along itself a line is drawn: its dashes, or all of it; each by the places it is followed at. */
function stretches({ wave, dash }: Lines): number[][] {
  const reach = LONG_MM / 2;
  const followed = (from: number, to: number) => {
    const steps = wave ? Math.max(1, Math.ceil(((to - from) * WAVE_STEPS) / wave.length_mm)) : 1;
    return Array.from({ length: steps + 1 }, (_, i) => from + ((to - from) * i) / steps);
  };
  if (!dash) return [followed(-reach, reach)];
  const pitch = dash.long_mm + dash.gap_mm;
  const many = Math.floor(reach / pitch);
  return Array.from({ length: 2 * many + 1 }, (_, i) => {
    const middle = (i - many) * pitch;
    return followed(middle - dash.long_mm / 2, middle + dash.long_mm / 2);
  });
}

function swing({ rise_mm, length_mm }: NonNullable<Lines['wave']>, along: number): number {
  return rise_mm * Math.sin((2 * Math.PI * along) / length_mm);
}

/** Distance into the nearest line, in mm, negative between them. */
export function linesDistance_mm(lines: Lines): (x: number, y: number) => number {
  const sets = setsOf(lines);
  const last = (lines.count - 1) / 2;
  const { wave, dash } = lines;
  return (x, y) => {
    let nearest = -Infinity;
    for (const { ux, uy } of sets) {
      let off = (x - lines.at.x) * uy - (y - lines.at.y) * ux;
      let square = 1;
      const along = (x - lines.at.x) * ux + (y - lines.at.y) * uy;
      if (wave) {
        // Measured across and set square to the line: near enough for a line that is thin against its wave.
        const turn = (2 * Math.PI) / wave.length_mm;
        off -= swing(wave, along);
        const lean = wave.rise_mm * turn * Math.cos(along * turn);
        square = 1 / Math.sqrt(1 + lean * lean);
      }
      const k = Math.max(-last, Math.min(last, Math.round(off / lines.pitch_mm + last) - last));
      let into = lines.width_mm / 2 - Math.abs(off - k * lines.pitch_mm) * square;
      if (dash) into = Math.min(into, intoDash_mm(dash, along));
      nearest = Math.max(nearest, into);
    }
    return nearest;
  };
}

/** How far a place along a line lies within a dash, negative between two. */
function intoDash_mm({ long_mm, gap_mm }: NonNullable<Lines['dash']>, along: number): number {
  const pitch = long_mm + gap_mm;
  return long_mm / 2 - Math.abs(along - Math.round(along / pitch) * pitch);
}

const BETWEEN = 6;

/** A smooth line through points, as a fine polyline (centripetal ends, Catmull & Rom 1974). */
export function smoothLine(points: readonly Point[]): Point[] {
  if (points.length < 3) return [...points];
  const at = (i: number) => points[Math.max(0, Math.min(points.length - 1, i))]!;
  const fine: Point[] = [];
  for (let i = 0; i + 1 < points.length; i += 1) {
    const [a, b, c, d] = [at(i - 1), at(i), at(i + 1), at(i + 2)];
    for (let k = 0; k < BETWEEN; k += 1) {
      const t = k / BETWEEN;
      const blend = (p: number, q: number, r: number, s: number) =>
        0.5 * (2 * q + (r - p) * t + (2 * p - 5 * q + 4 * r - s) * t * t + (3 * q - p - 3 * r + s) * t ** 3);
      fine.push({ x: blend(a.x, b.x, c.x, d.x), y: blend(a.y, b.y, c.y, d.y) });
    }
  }
  fine.push(points[points.length - 1]!);
  return fine;
}

/** The strip that a brush of a width leaves along a line: one piece for each stretch of it. */
export function stripPolygons(line: readonly Point[], width_mm: number): Point[][] {
  return line.slice(1).map((to, i) => {
    const from = line[i]!;
    const length = Math.hypot(to.x - from.x, to.y - from.y) || 1;
    const [nx, ny] = [
      ((to.y - from.y) / length) * (width_mm / 2),
      (-(to.x - from.x) / length) * (width_mm / 2),
    ];
    return [
      { x: from.x + nx, y: from.y + ny },
      { x: to.x + nx, y: to.y + ny },
      { x: to.x - nx, y: to.y - ny },
      { x: from.x - nx, y: from.y - ny },
    ];
  });
}

/** Square of the distance of a point to the stretch between two others, in mm². */
export function toStretch_mm2(p: Point, q: Point, x: number, y: number): number {
  const dx = q.x - p.x;
  const dy = q.y - p.y;
  const span = dx * dx + dy * dy;
  const t = span > 0 ? Math.max(0, Math.min(1, ((x - p.x) * dx + (y - p.y) * dy) / span)) : 0;
  const offX = x - p.x - t * dx;
  const offY = y - p.y - t * dy;
  return offX * offX + offY * offY;
}

/** Distance of a point to a line, in mm. */
export function toLine_mm(line: readonly Point[], x: number, y: number): number {
  let nearest2 = Infinity;
  for (let i = 1; i < line.length; i += 1)
    nearest2 = Math.min(nearest2, toStretch_mm2(line[i - 1]!, line[i]!, x, y));
  return Math.sqrt(nearest2);
}

/** Fewer points that keep a line within a tolerance (Ramer 1972; Douglas & Peucker 1973), at most so many. */
export function fitted(points: readonly Point[], tolerance_mm: number, most: number): Point[] {
  let tolerance = tolerance_mm;
  for (;;) {
    const kept = thinned(points, tolerance);
    if (kept.length <= most) return kept;
    tolerance *= 1.5;
  }
}

function thinned(points: readonly Point[], tolerance: number): Point[] {
  const keep = new Uint8Array(points.length);
  keep[0] = keep[points.length - 1] = 1;
  const stretches: [number, number][] = [[0, points.length - 1]];
  while (stretches.length > 0) {
    const [from, to] = stretches.pop()!;
    let far = -1;
    let most = tolerance;
    for (let i = from + 1; i < to; i += 1) {
      const off = toLine_mm([points[from]!, points[to]!], points[i]!.x, points[i]!.y);
      if (off > most) [far, most] = [i, off];
    }
    if (far < 0) continue;
    keep[far] = 1;
    stretches.push([from, far], [far, to]);
  }
  return points.filter((_, i) => keep[i] === 1);
}
