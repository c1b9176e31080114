import { smooth } from '../geometry/smooth';
import type { NailFrame } from '../geometry/frame';
import { beadShare } from '../geometry/bead';
import type { Cover } from './cover';
import { LAYER_FACTS } from './layers';
import { CELLS_X, CELLS_Y, cellX, cellY, height_um, type NailField } from './field';

/** Product is feathered to the skin over this width (common practice). */
const FEATHER_MM = 1.5;
/** What clings to a thing that stands above the level, as a share of the bead there. */
const DRAPE_SHARE = 0.1;
/**
 * A liquid layer levels waves of length λ in a time that grows with λ⁴ (Orchard 1962); for builder gel (from
 * memory: 35 mN/m, 5 Pa·s) 0.4 mm thick, waves under about 8 mm are gone in the seconds before the lamp. The
 * surface below shows through only as smoothed over this width.
 */
const SMOOTHED_OVER_MM = 1.8;

/** 0 at the skin, 1 in full thickness; past the bed there is no skin and the edge is capped. */
export function feather(frame: NailFrame, y_mm: number, distance_mm: number): number {
  const skin = Math.max(0, Math.min(1, (frame.bed_mm + 0.5 - y_mm) / (0.5 + frame.bed_mm * 0.45)));
  return 1 - skin * (1 - smooth(distance_mm / FEATHER_MM));
}

/** A poured layer: its thickness by cell, the level of its free surface, and the volume brought. */
export interface Poured {
  t_um: Float32Array;
  level_um: Float32Array;
  brought_mm3: number;
}

/**
 * Pours a bead `t_um` thick at the apex. What the brush brings is kept: the liquid fills what lies below, drapes
 * thinly over what stands above its level, and settles to a surface that follows the pile only as smoothed.
 */
export function pour(field: NailField, cover: Cover, t_um: number): Poured {
  const { grid, frame } = field;
  const cells = CELLS_X * CELLS_Y;
  const bead = new Float32Array(cells);
  const below = new Float32Array(cells);
  const weight = new Float32Array(cells);
  // What stands on the surface is flowed around and over; only what is already bedded shapes the level.
  const lain = new Float32Array(cells);
  const bedded = lastFilm(field) + 1;
  let brought = 0;
  for (const cell of cover.touched) {
    const x = grid.x[cellX(cell)]!;
    const y = grid.y[cellY(cell)]!;
    weight[cell] = cover.share[cell]! * feather(frame, y, cover.distance_mm[cell]!);
    bead[cell] = t_um * beadShare(frame, x, y) * weight[cell]!;
    below[cell] = height_um(field, cell);
    lain[cell] = height_um(field, cell, bedded);
    brought += bead[cell]!;
  }
  const datum = smoothed(field, lain, cover.touched);
  const level_um = new Float32Array(cells);
  const film = new Float32Array(cells);
  const settle = (lift: number): number => {
    let sum = 0;
    for (const cell of cover.touched) {
      const level = lain[cell]! + (datum[cell]! - lain[cell]! + lift) * weight[cell]! + bead[cell]!;
      level_um[cell] = level;
      film[cell] = Math.max(bead[cell]! * DRAPE_SHARE, level - below[cell]!);
      sum += film[cell]!;
    }
    return sum;
  };
  // The volume grows with the lift: halved until it is kept.
  let low = -2 * t_um - spread(below, cover.touched);
  let high = 2 * t_um + spread(below, cover.touched);
  for (let i = 0; i < 40 && high - low > 0.01; i += 1) {
    const middle = (low + high) / 2;
    if (settle(middle) > brought) high = middle;
    else low = middle;
  }
  settle((low + high) / 2);
  return { t_um: film, level_um, brought_mm3: (brought / 1000) * grid.cell_mm2 };
}

function lastFilm(field: NailField): number {
  for (let f = field.films.length - 1; f >= 0; f -= 1) {
    if (LAYER_FACTS[field.films[f]!.kind].bears) return f;
  }
  return -1;
}

function spread(values: Float32Array, cells: Uint16Array): number {
  let least = Infinity;
  let most = -Infinity;
  for (const cell of cells) {
    least = Math.min(least, values[cell]!);
    most = Math.max(most, values[cell]!);
  }
  return cells.length > 0 ? most - least : 0;
}

/** Heights smoothed by a Gaussian over the given cells only, first across, then along. */
export function smoothed(field: NailField, heights: Float32Array, cells: Uint16Array): Float32Array {
  const there = new Uint8Array(CELLS_X * CELLS_Y);
  for (const cell of cells) there[cell] = 1;
  const across = pass(heights, there, kernel(field.grid.dx_mm), 1, CELLS_X, cellX);
  return pass(across, there, kernel(field.grid.dy_mm), CELLS_X, CELLS_Y, cellY);
}

function kernel(pitch_mm: number): Float64Array {
  const reach = Math.ceil((2.5 * SMOOTHED_OVER_MM) / pitch_mm);
  return Float64Array.from({ length: reach + 1 }, (_, i) =>
    Math.exp(-0.5 * ((i * pitch_mm) / SMOOTHED_OVER_MM) ** 2),
  );
}

function pass(
  values: Float32Array,
  there: Uint8Array,
  weights: Float64Array,
  stride: number,
  size: number,
  place: (cell: number) => number,
): Float32Array {
  const out = new Float32Array(values.length);
  for (let cell = 0; cell < values.length; cell += 1) {
    if (!there[cell]) continue;
    const at = place(cell);
    let sum = values[cell]! * weights[0]!;
    let total = weights[0]!;
    for (let k = 1; k < weights.length; k += 1) {
      if (at - k >= 0 && there[cell - k * stride]) {
        sum += weights[k]! * values[cell - k * stride]!;
        total += weights[k]!;
      }
      if (at + k < size && there[cell + k * stride]) {
        sum += weights[k]! * values[cell + k * stride]!;
        total += weights[k]!;
      }
    }
    out[cell] = sum / total;
  }
  return out;
}
