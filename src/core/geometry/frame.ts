import { curveOf } from './curve';
import type { Shape } from '../model/shapes';
import { SHAPE_DEFINITIONS } from './shape';

export interface Point {
  x: number;
  y: number;
}

/**
 * One nail, unrolled flat: x runs across from the middle (mm along the C-curve), y along from the cuticle
 * (0) over the free edge (`bed_mm`) to the tip (`length_mm`).
 */
export interface NailFrame {
  width_mm: number;
  arc_mm: number;
  radius_mm: number;
  half_angle: number;
  radiusAlong_mm: number;
  bed_mm: number;
  length_mm: number;
  shape: Shape;
  /** Half width of the outline at y; 0 outside the nail. */
  halfWidth_mm: (y_mm: number) => number;
  /** Cosine of the outline's lean at y: what a distance straight across is to one square to the outline. */
  lean: (y_mm: number) => number;
}

const TABLE_STEPS = 600;
const LEAN_OVER_MM = 0.05;

export interface FrameInput {
  width_mm: number;
  arch_mm: number;
  bed_mm: number;
  free_mm: number;
  radiusAlong_mm: number;
  shape: Shape;
}

const KNOWN = new Map<string, NailFrame>();
const MOST_KNOWN = 200;

/** The frame of a nail. It is worked out once for the same measures: screens ask for it at every move of a hand. */
export function makeFrame(input: FrameInput): NailFrame {
  const { width_mm, arch_mm, bed_mm, free_mm, radiusAlong_mm, shape } = input;
  const key = [width_mm, arch_mm, bed_mm, free_mm, radiusAlong_mm, shape].join();
  const known = KNOWN.get(key);
  if (known) return known;
  if (KNOWN.size >= MOST_KNOWN) KNOWN.clear();
  const made = workedOut(input);
  KNOWN.set(key, made);
  return made;
}

function workedOut(input: FrameInput): NailFrame {
  const curve = curveOf(input.width_mm, input.arch_mm);
  const half = curve.arc_mm / 2;
  const length = input.bed_mm + input.free_mm;
  // The cuticle is drawn as a quarter of a flattened oval on each side.
  const cuticle = Math.min(half * 0.78, length * 0.45);
  const definition = SHAPE_DEFINITIONS[input.shape];
  const taper = Math.min(half * definition.taper, input.free_mm + input.bed_mm * 0.35);

  const exact = (y: number): number => {
    let share = 1;
    if (y < cuticle) {
      const rest = 1 - y / cuticle;
      share = Math.max(0, 1 - rest ** 2.3) ** (1 / 2.1);
    }
    const start = length - taper;
    if (y > start) share = Math.min(share, definition.profile((y - start) / taper));
    return half * share;
  };
  // Asked for at every cell and pixel: read from a table fine enough that the lines between are no flaw.
  const table = Float64Array.from({ length: TABLE_STEPS + 2 }, (_, i) =>
    exact(Math.min(1, i / TABLE_STEPS) * length),
  );
  const read = (from: Float64Array, y: number): number => {
    const at = (y / length) * TABLE_STEPS;
    const i = Math.floor(at);
    return from[i]! + (from[i + 1]! - from[i]!) * (at - i);
  };
  const halfWidth_mm = (y: number): number => (y < 0 || y > length ? 0 : read(table, y));
  const leans = Float64Array.from({ length: TABLE_STEPS + 2 }, (_, i) => {
    const y = Math.min(1, i / TABLE_STEPS) * length;
    const slope =
      (halfWidth_mm(Math.min(y + LEAN_OVER_MM, length)) - halfWidth_mm(Math.max(y - LEAN_OVER_MM, 0))) /
      (2 * LEAN_OVER_MM);
    return 1 / Math.sqrt(1 + slope * slope);
  });

  return {
    width_mm: input.width_mm,
    arc_mm: curve.arc_mm,
    radius_mm: curve.radius_mm,
    half_angle: curve.half_angle,
    radiusAlong_mm: input.radiusAlong_mm,
    bed_mm: input.bed_mm,
    length_mm: length,
    shape: input.shape,
    halfWidth_mm,
    lean: (y) => read(leans, Math.max(0, Math.min(length, y))),
  };
}

/** Landmark (0 cuticle, 1 free edge, 2 tip) to mm from the cuticle. A nail without free edge ends at 1. */
export function along_mm(frame: NailFrame, along: number): number {
  return along <= 1 ? along * frame.bed_mm : frame.bed_mm + (along - 1) * (frame.length_mm - frame.bed_mm);
}

/** How far along its way a point lies, 0 to 1: from cuticle to tip, or from the left sidewall (`side` −1: the right) to the other. */
export function wayShare(
  frame: NailFrame,
  direction: 'along' | 'across',
  side: 1 | -1,
): (x_mm: number, y_mm: number) => number {
  if (direction === 'across') return (x) => 0.5 + (side * x) / frame.arc_mm;
  const length_mm = along_mm(frame, 2);
  return (_x, y) => y / length_mm;
}

/** Share of the arc (−1 … 1) to mm from the middle. */
export function across_mm(frame: NailFrame, across: number): number {
  return (across * frame.arc_mm) / 2;
}

/** Where a point of the unrolled nail is seen from straight above, in mm from the middle. */
export function seenFromAbove_mm(frame: NailFrame, x_mm: number): number {
  return Number.isFinite(frame.radius_mm) ? frame.radius_mm * Math.sin(x_mm / frame.radius_mm) : x_mm;
}

/** The point of the unrolled nail that is seen there from straight above; past the sidewalls, the sidewall. */
export function onUnrolled_mm(frame: NailFrame, seen_mm: number): number {
  if (!Number.isFinite(frame.radius_mm)) return seen_mm;
  const share = Math.max(-1, Math.min(1, seen_mm / frame.radius_mm));
  const half = frame.arc_mm / 2;
  return Math.max(-half, Math.min(half, frame.radius_mm * Math.asin(share)));
}

/** Shares of a length from 0 to 1, denser towards both ends, where an outline bends most. */
export function alongOutline(steps: number): number[] {
  return Array.from({ length: steps + 1 }, (_, i) => (1 - Math.cos((Math.PI * i) / steps)) / 2);
}

/** The outline as a closed polygon, `steps` points a side. */
export function outlinePolygon(frame: NailFrame, steps = 40): Point[] {
  const right = alongOutline(steps).map((t): Point => {
    const y = t * frame.length_mm;
    return { x: frame.halfWidth_mm(y), y };
  });
  return [...right, ...right.map((point) => ({ x: -point.x, y: point.y })).reverse()];
}

/** Signed distance to the outline in mm, positive inside; approximate near corners, exact in sign. */
export function outlineDistance_mm(frame: NailFrame, x: number, y: number): number {
  const end = Math.min(y, frame.length_mm - y);
  if (end <= 0) {
    const past = Math.abs(x) - frame.halfWidth_mm(Math.max(0, Math.min(y, frame.length_mm)));
    return past > 0 ? -Math.sqrt(end * end + past * past) : end;
  }
  const side = (frame.halfWidth_mm(y) - Math.abs(x)) * frame.lean(y);
  return side < 0 ? side : Math.min(side, end);
}
