import { linearOf } from '../colour/space';
import type { Triple } from '../colour/film';
import type { Grains } from '../craft/matter';
import { profileOn } from '../craft/area';
import type { NailFrame } from '../geometry/frame';
import { perFrame } from '../geometry/perFrame';
import { hash } from '../geometry/noise';
import type { Film } from '../simulate/field';
import { isBall } from '../simulate/grains';
import type { LayRow } from './row';

/** Grains closer than this are a veil of points (by the look of it): so many to a mm at most are drawn. */
const MOST_PER_MM = 9;

/** How far inside its outline a point of a grain lies, as a share of its half size; below 0 outside. */
const INSIDE: Record<Grains['shape'], (x: number, y: number) => number> = {
  round: (x, y) => 1 - Math.sqrt(x * x + y * y),
  square: (x, y) => 1 - Math.max(Math.abs(x), Math.abs(y)),
  hexagon: (x, y) => 0.866 - Math.max(Math.abs(y), 0.866 * Math.abs(x) + 0.5 * Math.abs(y)),
  sliver: (x, y) => Math.min(1 - Math.abs(x), 0.25 - Math.abs(y)),
};

/** Where each grain of a lattice fell, and how: by cell, from `u0` and `v0` on; a grain that is not there has no x. */
interface Fallen {
  u0: number;
  v0: number;
  columns: number;
  rows: number;
  x: Float32Array;
  y: Float32Array;
  cos: Float32Array;
  sin: Float32Array;
  chance: Float32Array;
}

/** Lattices are large, and only those just drawn are drawn again. */
const known = perFrame<Fallen>(6);

/** One grain to a square of a lattice as fine as they are dense; `share`: the chance that it is there. */
function fallen(
  frame: NailFrame,
  { seed, mirror }: Grains,
  pitch: number,
  share: ((x_mm: number, y_mm: number) => number) | undefined,
): Fallen {
  const side = mirror ? -1 : 1;
  const u0 = Math.floor((-frame.arc_mm / 2 - ROOM_MM) / pitch);
  const v0 = Math.floor(-ROOM_MM / pitch);
  const columns = Math.ceil((frame.arc_mm / 2 + ROOM_MM) / pitch) - u0 + 1;
  const rows = Math.ceil((frame.length_mm + ROOM_MM) / pitch) - v0 + 1;
  const array = () => new Float32Array(columns * rows);
  const all: Fallen = {
    u0,
    v0,
    columns,
    rows,
    x: array(),
    y: array(),
    cos: array(),
    sin: array(),
    chance: array(),
  };
  for (let j = 0; j < rows; j += 1) {
    for (let i = 0; i < columns; i += 1) {
      const [u, v, k] = [u0 + i, v0 + j, j * columns + i];
      const one = hash(u + seed, v + 7 * seed);
      const x = (u + 0.5 + 0.9 * (one - 0.5)) * pitch;
      const y = (v + 0.5 + 0.9 * (hash(u + seed, v + 7 * seed + 5003) - 0.5)) * pitch;
      const chance = hash(u + seed + 911, v + 7 * seed);
      const turn = one * 6.283;
      all.x[k] = share && chance > share(side * x, y) ? NaN : x;
      all.y[k] = y;
      all.cos[k] = Math.cos(turn);
      all.sin[k] = Math.sin(turn);
      all.chance[k] = chance;
    }
  }
  return all;
}

/** Further than any grain reaches from where the nail ends. */
const ROOM_MM = 2;

/**
 * Grains strewn over a place, each where chance has it, turned and leaning as it fell. The same seed strews the same, on the
 * other hand turned over.
 */
export function strewn(film: Film, grains: Grains, frame: NailFrame, place: number): LayRow {
  const { size_mm, mirror, metallic, shape } = grains;
  const dense = Math.min(MOST_PER_MM, Math.sqrt(grains.per_cm2 / 100));
  const pitch = 1 / Math.max(0.01, dense);
  // Drawn sparser than they lie, they are drawn larger: they cover as much.
  const half = (size_mm / 2) * Math.max(1, Math.sqrt(grains.per_cm2 / 100) / dense);
  const near = Math.min(3, Math.ceil((half * 1.5) / pitch));
  const colour = linearOf(grains.colour);
  const side = mirror ? -1 : 1;
  const inside = INSIDE[shape];
  const soft = 0.35;
  const ball = isBall(grains);
  const key = JSON.stringify([grains.seed, mirror, pitch, film.profile && [film.profile, film.place]]);
  const all = known(frame, key, () =>
    // Where they thin out, the chance that a grain of the full density is there.
    fallen(frame, grains, pitch, film.profile && profileOn(frame, film.place, film.profile)),
  );
  return (row, from, to) => {
    const shares = row.shares[place]!;
    const [red, green, blue] = row.colour;
    const cellY = Math.floor(row.y / pitch) - all.v0;
    const [low, high] = [Math.max(0, cellY - near), Math.min(all.rows - 1, cellY + near)];
    for (let i = from; i < to; i += 1) {
      if (shares[i]! <= 0) continue;
      const x = side * row.x[i]!;
      const cellX = Math.floor(x / pitch) - all.u0;
      const [left, right] = [Math.max(0, cellX - near), Math.min(all.columns - 1, cellX + near)];
      let covers = 0;
      let light = 1;
      for (let v = low; v <= high; v += 1) {
        for (let k = v * all.columns + left; k <= v * all.columns + right; k += 1) {
          const ox = x - all.x[k]!;
          const oy = row.y - all.y[k]!;
          // One that is not there is near to nothing.
          if (!(ox * ox + oy * oy <= 2 * half * half)) continue;
          const [cos, sin] = [all.cos[k]!, all.sin[k]!];
          const into = inside((ox * cos + oy * sin) / half, (-ox * sin + oy * cos) / half);
          const part = Math.min(1, Math.max(0, 0.5 + (into * half * row.px_per_mm) / (2 * soft)));
          if (part <= covers) continue;
          covers = part;
          light = ball ? ballLight(side * (ox / half), oy / half) : glint(all.chance[k]!, metallic);
        }
      }
      if (covers <= 0) continue;
      const part = covers * shares[i]!;
      lay(red, i, colour[0] * light, part);
      lay(green, i, colour[1] * light, part);
      lay(blue, i, colour[2] * light, part);
      row.metal[i] = row.metal[i]! * (1 - part);
    }
  };
}

/** A ball under the one lamp: to the left and beyond the tip. */
function ballLight(nx: number, ny: number): number {
  const nz = Math.sqrt(Math.max(0, 1 - nx * nx - ny * ny));
  const facing = Math.max(0, -0.48 * nx + 0.62 * ny + 0.62 * nz);
  return 0.36 + 0.66 * facing + 0.9 * facing ** 24;
}

/** Each lies at a slant of its own: most are dull, a few throw the lamp back (by the look of it). */
function glint(chance: number, metallic: boolean): number {
  if (!metallic) return 0.82 + 0.36 * chance;
  return chance > 0.86 ? 2.1 : 0.45 + 0.95 * chance;
}

function lay(channel: Float64Array, i: number, to: Triple[number], share: number): void {
  channel[i] = channel[i]! + (to - channel[i]!) * share;
}
