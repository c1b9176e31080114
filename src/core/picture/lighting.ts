import type { Triple } from '../colour/film';
import { CELLS_X, CELLS_Y, height_um, type NailField } from '../simulate/field';
import { noise } from '../geometry/noise';

/**
 * One lamp for the whole hand: a soft box to the upper left, a strip to the right, the room around them. A surface
 * mirrors what lies in the direction R = 2(n·v)n − v for an eye straight above; how much of it is Schlick's (1994)
 * approximation of Fresnel's law with 0.04 for clear gel.
 */
const F0 = 0.04;
/** Film heights are read over this much, so that the mirrored lamp shows the build and not the grid. */
const BLUR_PASSES = 6;
/** How quickly flakes give way to others as a finger turns under the lamp. */
const FLAKES_ON = 8;
/** How much of its mirror metal loses below what is matte (by the look of it). */
const SATIN = 0.6;
/** Steepest lean of the films that light is asked for. */
const MOST_LEAN = 0.16;
/** The finished edge is rounded over this width. */
const ROUND_MM = 0.55;

export interface Spot {
  /** Lean of the surface, to the right and towards the tip, as tangents. */
  lean: [number, number];
  /** How crinkled metal below a smooth surface leans besides. */
  under: [number, number];
  /** 0 a mirror, 1 matte. */
  matte: number;
  /** How much of what shows is metal, 0–1, and how coarse its grain is. */
  metal: number;
  grain: number;
  /** mm, for grain that stays where it is. */
  x: number;
  y: number;
}

/** The lean of a nail's finished surface from its films and its arch, by place in mm; without the curve across. */
export function leansOf(field: NailField): (x: number, y: number, into: [number, number]) => void {
  const { grid, frame } = field;
  let height = new Float32Array(CELLS_X * CELLS_Y);
  for (let cell = 0; cell < height.length; cell += 1) height[cell] = height_um(field, cell) / 1000;
  for (let pass = 0; pass < BLUR_PASSES; pass += 1) height = blurred(height, grid.inside);
  const alongX = new Float32Array(height.length);
  const alongY = new Float32Array(height.length);
  for (let j = 0; j < CELLS_Y; j += 1) {
    for (let i = 0; i < CELLS_X; i += 1) {
      const at = (di: number, dj: number) =>
        height[clamp(j + dj, 0, CELLS_Y - 1) * CELLS_X + clamp(i + di, 0, CELLS_X - 1)]!;
      alongX[j * CELLS_X + i] = clamp((at(1, 0) - at(-1, 0)) / (2 * grid.dx_mm), -MOST_LEAN, MOST_LEAN);
      alongY[j * CELLS_X + i] = clamp((at(0, 1) - at(0, -1)) / (2 * grid.dy_mm), -MOST_LEAN, MOST_LEAN);
    }
  }
  const [x0, y0] = [grid.x[0]!, grid.y[0]!];
  const read = (of: Float32Array, x: number, y: number) => {
    const u = clamp((x - x0) / grid.dx_mm, 0, CELLS_X - 1.001);
    const v = clamp((y - y0) / grid.dy_mm, 0, CELLS_Y - 1.001);
    const i = Math.floor(u);
    const j = Math.floor(v);
    const at = j * CELLS_X + i;
    const low = of[at]! + (of[at + 1]! - of[at]!) * (u - i);
    const high = of[at + CELLS_X]! + (of[at + CELLS_X + 1]! - of[at + CELLS_X]!) * (u - i);
    return low + (high - low) * (v - j);
  };
  const middle = frame.length_mm * 0.46;
  return (x, y, into) => {
    into[0] = -read(alongX, x, y);
    into[1] = -read(alongY, x, y) + Math.tan(clamp((y - middle) / frame.radiusAlong_mm, -0.6, 0.6));
  };
}

/** Lean added by the rounded edge, `d` mm inside the outline, outwards. */
export function edgeLean(d: number): number {
  if (d >= ROUND_MM) return 0;
  const share = 1 - Math.max(0, d) / ROUND_MM;
  return 0.75 * share * share;
}

/** What is seen of a surface of this colour, in its place: its own colour in the light, and what it mirrors. */
export function light(colour: [number, number, number], across: number, spot: Spot, turn: Turn): void {
  // The curve across turns the lean of the films with it.
  const [alongLean, bow] = [spot.lean[1], Math.atan(spot.lean[0]) + across];
  const nx0 = Math.sin(bow);
  const nz0 = Math.cos(bow);
  const along = alongLean * nz0;
  const length = Math.sqrt(1 + along * along);
  const ny = along / length;
  const nx = nx0 / length;
  const nz = nz0 / length;
  // As it lies on the hand: the finger is turned, the lamp is not.
  const sx = nx * turn.cos + ny * turn.sin;
  const sy = -nx * turn.sin + ny * turn.cos;
  const facing = Math.max(0, sx * KEY[0] + sy * KEY[1] + nz * KEY[2]);
  const open = 0.5 + 0.5 * nz;
  const body = 0.08 + 0.34 * open * open + 0.66 * facing;
  const u = 2 * nz * sx;
  const v = 2 * nz * sy;
  const lean = 1 - nz;
  const fresnel = F0 + (1 - F0) * lean * lean * lean * lean * lean * 0.55;
  const shine = fresnel * (spot.matte < 1 ? room(u, v, SHARP + SOFTENS * spot.matte) : 0);
  const veil = spot.matte > 0 ? F0 * room(u, v, 0.5) * 0.3 : 0;
  let share = body;
  // Below what is matte, metal shines as satin does.
  const metal = spot.metal * (1 - SATIN * spot.matte);
  if (metal > 0) {
    const jitter = spot.grain * 0.8;
    // As the light moves, other flakes catch it.
    const on = turn.sin * FLAKES_ON;
    const gu = u + 2 * spot.under[0] + jitter * (noise(spot.x * 13 + on, spot.y * 13) - 0.5);
    const gv = v + 2 * spot.under[1] + jitter * (noise(spot.x * 13 + 40, spot.y * 13 + on) - 0.5);
    const bright = 0.5 + 0.42 * gv - 0.25 * gu * gu + 0.045 * room(gu, gv, 0.22);
    const mirrored = Math.max(0.16, bright) * (0.72 + 0.28 * facing) * 1.25;
    share += (mirrored - share) * metal;
  }
  const gloss = shine * (1 - spot.matte) + veil * spot.matte;
  for (let i = 0; i < 3; i += 1) colour[i] = colour[i]! * share + gloss * WARM[i]!;
}

/** How a finger is turned under the lamp. */
export interface Turn {
  cos: number;
  sin: number;
}

/** Clockwise, as the spread turns its nails. */
export function turned(turn_deg: number): Turn {
  const turn = (turn_deg * Math.PI) / 180;
  return { cos: Math.cos(turn), sin: Math.sin(turn) };
}

/** How far a mirrored lamp is blurred: by gloss hardly, by what is half matte more (by the look of it). */
const SHARP = 0.05;
const SOFTENS = 0.4;

const WARM: Triple = [1, 0.985, 0.955];
/** Direction of the lamp. */
export const KEY = normal(-0.42, 0.3, 0.86);

function normal(x: number, y: number, z: number): Triple {
  const length = Math.hypot(x, y, z);
  return [x / length, y / length, z / length];
}

/** Light from the direction (u, v) of the mirrored ray; `soft` is how wide a surface smears it. */
function room(u: number, v: number, soft: number): number {
  const spread = soft / (soft + 0.1);
  const box = boxed(u + 0.47, v - 0.03, 0.125, 0.3, 0.1, soft);
  const strip = boxed(u - 0.74, v + 0.02, 0.025, 0.34, 0.02, soft);
  const below = boxed(u - 0.05, v + 0.8, 0.5, 0.06, 0.06, soft + 0.1);
  return (
    0.16 + 0.14 * v + (13 + 16 * v) * box * (1 - 0.35 * spread) + 3 * strip * (1 - 0.6 * spread) + 1.2 * below
  );
}

/** 1 inside a rounded box around the middle, soft at its edge. */
function boxed(u: number, v: number, halfU: number, halfV: number, round: number, soft: number): number {
  if (u > halfU + soft || -u > halfU + soft || v > halfV + soft || -v > halfV + soft) return 0;
  const du = Math.abs(u) - halfU + round;
  const dv = Math.abs(v) - halfV + round;
  const [ou, ov] = [Math.max(du, 0), Math.max(dv, 0)];
  const outside = Math.sqrt(ou * ou + ov * ov) + Math.min(Math.max(du, dv), 0) - round;
  const t = clamp(0.5 - outside / (2 * soft), 0, 1);
  return t * t * (3 - 2 * t);
}

function blurred(of: Float32Array, inside: Uint8Array): Float32Array<ArrayBuffer> {
  const out = new Float32Array(of.length);
  for (let j = 0; j < CELLS_Y; j += 1) {
    for (let i = 0; i < CELLS_X; i += 1) {
      let sum = 0;
      let count = 0;
      for (let dj = -1; dj <= 1; dj += 1) {
        for (let di = -1; di <= 1; di += 1) {
          const [ii, jj] = [i + di, j + dj];
          if (ii < 0 || jj < 0 || ii >= CELLS_X || jj >= CELLS_Y || !inside[jj * CELLS_X + ii]) continue;
          sum += of[jj * CELLS_X + ii]!;
          count += 1;
        }
      }
      out[j * CELLS_X + i] = count > 0 ? sum / count : of[j * CELLS_X + i]!;
    }
  }
  return out;
}

function clamp(value: number, low: number, high: number): number {
  return value < low ? low : value > high ? high : value;
}
