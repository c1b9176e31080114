import { overChannel, type Layer, type Triple } from '../colour/film';
import { outlineDistance_mm, type NailFrame } from '../geometry/frame';
import type { NailField } from '../simulate/field';
import { groundAt } from '../simulate/pile';
import type { Drawn } from './hardware';
import { edgeLean, light, type Spot, type Turn } from './lighting';
import { encode } from './raster';

/** Where a film lies: signed distance into it, in mm, and between which x and y; undefined: on all of the nail. */
export interface Lies {
  distance_mm: (x: number, y: number) => number;
  left_mm: number;
  right_mm: number;
  low_mm: number;
  high_mm: number;
}

/** A coloured film, as a layer at each of its points. */
export interface Coat {
  place: number;
  /** `share`: of its full thickness, where it is shaped. */
  layerAt: (x: number, y: number, share: number) => Layer;
  /** How much of it mirrors as metal does; nothing, where it is no metal. */
  metalAt?: (x: number, y: number) => number;
  /** How coarse its metal is: 1 flakes, towards 0 a mirror. */
  grain: number;
  /** Where it is shaped: how much of its full thickness lies at a place, and how high it then stands, in mm; 0 lies flat. */
  shaped?: { shareAt: (x: number, y: number) => number; height_mm: number; known: Known };
}

export interface Sheen {
  place: number;
  /** 0 gloss, 1 matte. */
  matte: number;
}

/** Draws one layer of a pile into a row. */
export type LayRow = (row: Row, from: number, to: number) => void;

/**
 * One row of a picture's pixels at work. A nail is drawn row by row, every film over a whole row at a time: short loops
 * over flat arrays, which an engine makes fast from the first nail on.
 */
export interface Row {
  y: number;
  px_per_mm: number;
  /** By column, the same for all rows: the point of the unrolled nail, and how far it turns away. */
  x: Float64Array;
  across: Float64Array;
  slant: Float64Array;
  /** Distance into the outline, that of the row above, and how much of a pixel the nail covers. */
  d: Float64Array;
  above: Float64Array;
  cover: Float64Array;
  /** The colour so far, in linear light. */
  colour: [Float64Array, Float64Array, Float64Array];
  metal: Float64Array;
  /** How coarse that metal is. */
  grain: Float64Array;
  matte: Float64Array;
  /** How steeply relief leans there, to the right and to the tip; and whether there is any in this row. */
  leanX: Float64Array;
  leanY: Float64Array;
  leans: boolean;
  /** The same of metal that lies crinkled below what is smooth. */
  underX: Float64Array;
  underY: Float64Array;
  crinkles: boolean;
  /** How much of a pixel lies in each of the scene's places. */
  shares: Float64Array[];
  /** What stands highest over a pixel, and how much of it that covers. */
  stands: (Drawn | undefined)[];
  standing: Float64Array;
}

export function newRow(
  frame: NailFrame,
  px_per_mm: number,
  width: number,
  pad_mm: number,
  places: number,
): Row {
  const array = () => new Float64Array(width);
  const R = frame.radius_mm;
  const round = Number.isFinite(R);
  const half = frame.arc_mm / 2;
  const x = Float64Array.from({ length: width }, (_, column) => {
    const seen = (column + 0.5) / px_per_mm - pad_mm - frame.width_mm / 2;
    if (!round) return seen;
    return Math.abs(seen) >= R ? Math.sign(seen) * (half + 0.3) : R * Math.asin(seen / R);
  });
  return {
    y: 0,
    px_per_mm,
    x,
    across: x.map((one) => (round ? one / R : 0)),
    // Edges foreshorten towards the sidewalls: sharpness is judged in pixels on the screen.
    slant: x.map((one) =>
      round && Math.abs(one) > half * 0.6 ? Math.max(0.25, Math.cos(Math.min(1.45, Math.abs(one) / R))) : 1,
    ),
    d: array(),
    above: array().fill(-1),
    cover: array(),
    colour: [array(), array(), array()],
    metal: array(),
    grain: array(),
    matte: array(),
    leanX: array(),
    leanY: array(),
    leans: false,
    underX: array(),
    underY: array(),
    crinkles: false,
    shares: Array.from({ length: places }, array),
    stands: Array.from<Drawn | undefined>({ length: width }),
    standing: array(),
  };
}

/** Goes to another height: the outline's distances there. */
export function measure(row: Row, frame: NailFrame, y: number, from: number, to: number): void {
  const { d, above, cover, slant, x, px_per_mm } = row;
  above.set(d);
  row.y = y;
  for (let i = from; i < to; i += 1) {
    const into = outlineDistance_mm(frame, x[i]!, y);
    d[i] = into;
    cover[i] = clamp01(0.5 + into * px_per_mm * slant[i]!);
  }
}

/** What stands out of the nail, topmost last, by where it covers a pixel. Tells whether anything does in this row. */
export function stand(row: Row, standing: readonly Drawn[], from: number, to: number): boolean {
  row.standing.fill(0, from, to);
  let any = false;
  for (const drawn of standing) {
    if (Math.abs(row.y - drawn.piece.y_mm) > drawn.reach_mm) continue;
    for (let i = from; i < to; i += 1) {
      const x = row.x[i]!;
      if (Math.abs(x - drawn.piece.x_mm) > drawn.reach_mm) continue;
      const distance_mm = drawn.distance_mm(x, row.y);
      const share = clamp01(0.5 + distance_mm * row.px_per_mm);
      if (share <= 0) {
        i = before(row.x, i, to, x - distance_mm - 0.5 / row.px_per_mm);
        continue;
      }
      row.standing[i] = share;
      row.stands[i] = drawn;
      any = true;
    }
  }
  return any;
}

/** The last column before a place along the row: a distance shrinks no faster than one goes, so nothing begins until there. */
function before(x: Float64Array, from: number, to: number, as_mm: number): number {
  let i = from;
  while (i + 1 < to && x[i + 1]! < as_mm) i += 1;
  return i;
}

/** The nail as it is under all films. */
export function layGround(row: Row, field: NailField, bareMatte: number, from: number, to: number): void {
  const [red, green, blue] = row.colour;
  for (let i = from; i < to; i += 1) {
    const ground = groundAt(field, row.x[i]!, row.y);
    red[i] = ground[0];
    green[i] = ground[1];
    blue[i] = ground[2];
  }
  row.metal.fill(0, from, to);
  row.grain.fill(1, from, to);
  row.matte.fill(bareMatte, from, to);
  if (row.leans) {
    row.leanX.fill(0, from, to);
    row.leanY.fill(0, from, to);
    row.leans = false;
  }
  if (row.crinkles) {
    row.underX.fill(0, from, to);
    row.underY.fill(0, from, to);
    row.crinkles = false;
  }
}

/** How much of each pixel lies in each place. */
export function layPlaces(row: Row, places: readonly (Lies | undefined)[], from: number, to: number): void {
  for (let p = 0; p < places.length; p += 1) {
    const place = places[p];
    const shares = row.shares[p]!;
    if (!place) for (let i = from; i < to; i += 1) shares[i] = clamp01(0.5 + row.d[i]! * row.px_per_mm);
    else if (row.y < place.low_mm || row.y > place.high_mm) shares.fill(0, from, to);
    else layPlace(row, place, shares, from, to);
  }
}

/** A signed distance grows no faster than one goes; off the steepest smile, which is no true one, up to four times as fast. */
const STEEPEST = 4;

function layPlace(row: Row, place: Lies, shares: Float64Array, from: number, to: number): void {
  const { x, y, px_per_mm } = row;
  let i = from;
  for (; i < to && x[i]! < place.left_mm; i += 1) shares[i] = 0;
  while (i < to && x[i]! <= place.right_mm) {
    const distance_mm = place.distance_mm(x[i]!, y);
    const share = clamp01(0.5 + distance_mm * px_per_mm);
    shares[i] = share;
    // Far from an edge the next pixels lie as this one does.
    const as_mm = x[i]! + (Math.abs(distance_mm) - 0.5 / px_per_mm) / STEEPEST;
    for (i += 1; i < to && x[i]! < as_mm && x[i]! <= place.right_mm; i += 1) shares[i] = share;
  }
  shares.fill(0, i, to);
}

/** A coat over what is there (Kubelka–Munk). */
export function layCoat(row: Row, coat: Coat, from: number, to: number): void {
  const { place, layerAt, metalAt, grain, shaped } = coat;
  const shares = row.shares[place]!;
  const thick = shaped && sharesAt(row, shaped, row.y);
  if (shaped && shaped.height_mm > 0) layRelief(row, shares, shaped, from, to);
  const [red, green, blue] = row.colour;
  const { metal } = row;
  for (let i = from; i < to; i += 1) {
    const share = shares[i]!;
    if (share <= 0) continue;
    const { R, T } = layerAt(row.x[i]!, row.y, thick ? shareOf(row, shaped!, thick, row.y, i) : 1);
    red[i] = red[i]! + share * (overChannel(R[0], T[0], red[i]!) - red[i]!);
    green[i] = green[i]! + share * (overChannel(R[1], T[1], green[i]!) - green[i]!);
    blue[i] = blue[i]! + share * (overChannel(R[2], T[2], blue[i]!) - blue[i]!);
    metal[i] = metalAt
      ? metal[i]! + share * (Math.max(metal[i]!, metalAt(row.x[i]!, row.y)) - metal[i]!)
      : metal[i]! * (1 - share);
    if (metalAt) row.grain[i] = row.grain[i]! + share * (grain - row.grain[i]!);
  }
}

/** Shares of a shaped coat by column, for the three rows that are looked at: each is asked for once. */
export type Known = { y: number; shares: Float64Array }[];

type Shaped = NonNullable<Coat['shaped']>;

/** The row of shares at a height, those not asked for yet not numbers; the one furthest up gives way. */
function sharesAt(row: Row, { known }: Shaped, y: number): Float64Array {
  const there = known.find((one) => Math.abs(one.y - y) < 1e-9);
  if (there) return there.shares;
  const fresh = { y, shares: known.length < 3 ? new Float64Array(row.x.length) : furthestUp(known).shares };
  fresh.shares.fill(NaN);
  known.push(fresh);
  return fresh.shares;
}

function furthestUp(known: Known): Known[number] {
  const at = known.reduce((most, one, i) => (one.y > known[most]!.y ? i : most), 0);
  return known.splice(at, 1)[0]!;
}

function shareOf(row: Row, { shareAt }: Shaped, shares: Float64Array, y: number, i: number): number {
  const before = shares[i]!;
  return before === before ? before : (shares[i] = shareAt(row.x[i]!, y));
}

/** What stands up from the nail leans the light; what is laid over it later follows it. Slopes are read from pixel to pixel. */
function layRelief(row: Row, shares: Float64Array, shaped: Shaped, from: number, to: number): void {
  const { x, y, px_per_mm } = row;
  const [up, down] = [y + 1 / px_per_mm, y - 1 / px_per_mm];
  const above = sharesAt(row, shaped, up);
  const here = sharesAt(row, shaped, y);
  const below = sharesAt(row, shaped, down);
  for (let i = from; i < to; i += 1) {
    if (shares[i]! <= 0) continue;
    const [left, right] = [Math.max(0, i - 1), Math.min(x.length - 1, i + 1)];
    const across = shareOf(row, shaped, here, y, right) - shareOf(row, shaped, here, y, left);
    const along = shareOf(row, shaped, above, up, i) - shareOf(row, shaped, below, down, i);
    row.leanX[i] = row.leanX[i]! - (shaped.height_mm * across) / (x[right]! - x[left]!);
    row.leanY[i] = row.leanY[i]! - (shaped.height_mm * along * px_per_mm) / 2;
    row.leans = true;
  }
}

/** Pieces in the gel, at their depth. */
export function layInlays(row: Row, inlays: readonly Drawn[], from: number, to: number): void {
  const [red, green, blue] = row.colour;
  for (const drawn of inlays) {
    const { piece, reach_mm } = drawn;
    if (Math.abs(row.y - piece.y_mm) > reach_mm) continue;
    for (let i = from; i < to; i += 1) {
      const x = row.x[i]!;
      if (Math.abs(x - piece.x_mm) > reach_mm) continue;
      const share = clamp01(0.5 + drawn.distance_mm(x, row.y) * row.px_per_mm);
      if (share <= 0) continue;
      const shade = drawn.shade(x, row.y, [red[i]!, green[i]!, blue[i]!]);
      red[i] = red[i]! + (shade[0] - red[i]!) * share;
      green[i] = green[i]! + (shade[1] - green[i]!) * share;
      blue[i] = blue[i]! + (shade[2] - blue[i]!) * share;
    }
  }
}

/** Gloss or matte, the last laid over the others. */
export function laySheens(row: Row, sheens: readonly Sheen[], from: number, to: number): void {
  const { matte } = row;
  for (const sheen of sheens) {
    const shares = row.shares[sheen.place]!;
    for (let i = from; i < to; i += 1) matte[i] = matte[i]! + (sheen.matte - matte[i]!) * shares[i]!;
  }
}

/** The lamp on all of it. */
export function lightRow(
  row: Row,
  leanAt: (x: number, y: number, into: [number, number]) => void,
  spot: Spot,
  turn: Turn,
  from: number,
  to: number,
): void {
  const [red, green, blue] = row.colour;
  const { d, above } = row;
  const { lean } = spot;
  const colour: [number, number, number] = [0, 0, 0];
  spot.y = row.y;
  for (let i = from; i < to; i += 1) {
    spot.x = row.x[i]!;
    leanAt(spot.x, row.y, lean);
    if (row.leans) {
      lean[0] += row.leanX[i]!;
      lean[1] += row.leanY[i]!;
    }
    const edge = edgeLean(d[i]!);
    if (edge > 0) {
      const inX = d[i]! - (i > 0 ? d[i - 1]! : -1);
      const inY = above[i]! - d[i]!;
      const steep = Math.sqrt(inX * inX + inY * inY) || 1;
      lean[0] -= (edge * inX) / steep;
      lean[1] += (edge * inY) / steep;
    }
    spot.matte = row.matte[i]!;
    spot.metal = row.metal[i]!;
    spot.grain = row.grain[i]!;
    spot.under[0] = row.crinkles ? row.underX[i]! : 0;
    spot.under[1] = row.crinkles ? row.underY[i]! : 0;
    colour[0] = red[i]!;
    colour[1] = green[i]!;
    colour[2] = blue[i]!;
    light(colour, row.across[i]!, spot, turn);
    red[i] = colour[0];
    green[i] = colour[1];
    blue[i] = colour[2];
  }
}

/** Shadows are soft over this width. */
const SHADOW_MM = 0.45;

/** What stands out throws a soft shadow down and to the right. */
export function shadeUnder(row: Row, standing: readonly Drawn[], from: number, to: number): void {
  // Kept where the finish was: the lamp has read it.
  const dark = row.matte.fill(0, from, to);
  for (const drawn of standing) {
    const off = Math.min(0.5, 0.18 + drawn.piece.height_mm * 0.15);
    const reach = drawn.reach_mm + 1;
    if (Math.abs(row.y - drawn.piece.y_mm) > reach) continue;
    for (let i = from; i < to; i += 1) {
      const x = row.x[i]!;
      if (Math.abs(x - drawn.piece.x_mm) > reach) continue;
      const distance_mm = drawn.distance_mm(x - off, row.y + off);
      if (distance_mm <= -SHADOW_MM) i = before(row.x, i, to, x - distance_mm - SHADOW_MM);
      else dark[i] = Math.max(dark[i]!, clamp01(1 + distance_mm / SHADOW_MM) * 0.5);
    }
  }
  for (const channel of row.colour)
    for (let i = from; i < to; i += 1) channel[i] = channel[i]! * (1 - dark[i]!);
}

/** What stands out, over all else. */
export function layStanding(row: Row, from: number, to: number): void {
  const [red, green, blue] = row.colour;
  for (let i = from; i < to; i += 1) {
    const share = row.standing[i]!;
    if (share <= 0) continue;
    const below: Triple = [red[i]!, green[i]!, blue[i]!];
    const shade = row.stands[i]!.shade(row.x[i]!, row.y, below);
    red[i] = below[0] + (shade[0] - below[0]) * share;
    green[i] = below[1] + (shade[1] - below[1]) * share;
    blue[i] = below[2] + (shade[2] - below[2]) * share;
  }
}

/** Puts a row into the picture; beside the nail, the soft shadow it casts to the lower right. */
export function writeRow(
  row: Row,
  frame: NailFrame,
  data: Uint8ClampedArray,
  at: number,
  from: number,
  to: number,
): void {
  const [red, green, blue] = row.colour;
  for (let i = from; i < to; i += 1) {
    const o = at + i * 4;
    const alpha = Math.max(row.cover[i]!, row.standing[i]!);
    if (alpha > 0) {
      data[o] = encode(red[i]!);
      data[o + 1] = encode(green[i]!);
      data[o + 2] = encode(blue[i]!);
      data[o + 3] = Math.round(alpha * 255);
      continue;
    }
    const up = row.y + SHADOW_MM;
    const under =
      outlineDistance_mm(frame, row.x[i]! - SHADOW_MM * 0.4, Math.max(up, 0.3)) - Math.max(0, 0.3 - up);
    data[o] = data[o + 1] = data[o + 2] = 0;
    data[o + 3] = 70 * clamp01(1 + under / SHADOW_MM) ** 2;
  }
}

function clamp01(value: number): number {
  return value < 0 ? 0 : value > 1 ? 1 : value;
}
