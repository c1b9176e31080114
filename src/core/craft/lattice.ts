import { areaOf } from './area';
import type { Draft, Place } from './operation';
import { piecesDistance } from './pieces';
import type { NailFrame } from '../geometry/frame';
import { perFrame } from '../geometry/perFrame';

/** Points across and along; fine enough for areas of a tenth of a mm², cheap enough for ten nails at a keystroke. */
export const LATTICE_X = 28;
export const LATTICE_Y = 44;
/** Past the nail. */
export const OUTSIDE_MM = -1e3;

/** A sampled cover: for each lattice point 0, or the bits `NEAR` and `WITHIN`. */
export type CoveredCells = Uint8Array;
/** So near that nothing between two points is missed. */
const NEAR = 1;
/** The point itself lies in it. */
const WITHIN = 2;

const sampled = perFrame<CoveredCells>();

/** Gives the sampled cover of drafts on one nail; each place, and each list of drafts, is worked out once. */
export function coverer(
  frame: NailFrame,
): (drafts: readonly Pick<Draft, 'place' | 'deposit'>[]) => CoveredCells {
  const one = (draft: Pick<Draft, 'place' | 'deposit'>): CoveredCells => {
    const pieces = draft.deposit?.kind === 'pieces' ? draft.deposit.pieces : undefined;
    if (!pieces) return placed(draft.place);
    return sampled(frame, JSON.stringify(pieces), () =>
      sample(frame, measured(frame, piecesDistance(pieces))),
    );
  };
  const placed = (place: Place): CoveredCells => {
    const key = JSON.stringify(place);
    return sampled(frame, key, () => sample(frame, distancesTo(frame, place, key)));
  };
  const together = new WeakMap<readonly object[], CoveredCells>();
  return (drafts) => {
    if (drafts.length === 1) return one(drafts[0]!);
    const asked = together.get(drafts);
    if (asked) return asked;
    const all = new Uint8Array(LATTICE_X * LATTICE_Y);
    for (const cover of new Set(drafts.map(one))) cover.forEach((value, i) => (all[i]! |= value));
    together.set(drafts, all);
    return all;
  };
}

const distances = perFrame<Float32Array>();

/**
 * How far inside a place each lattice point lies, in mm; far outside past the nail. Asked for by the order and by the simulation
 * alike, and worked out once.
 */
export function distancesTo(frame: NailFrame, place: Place, key = JSON.stringify(place)): Float32Array {
  return distances(frame, key, () => measured(frame, areaOf(frame, place).distance_mm));
}

function measured(frame: NailFrame, distance_mm: (x: number, y: number) => number): Float32Array {
  return Float32Array.from(latticeOf(frame), (at) => (at ? distance_mm(at.x, at.y) : OUTSIDE_MM));
}

function sample(frame: NailFrame, inside_mm: Float32Array): CoveredCells {
  const cover = new Uint8Array(LATTICE_X * LATTICE_Y);
  // Any point of the nail is nearer than this to a point of the lattice, so nothing falls between.
  const reach = 0.75 * Math.max(frame.arc_mm / LATTICE_X, frame.length_mm / LATTICE_Y);
  inside_mm.forEach((d, n) => {
    if (d > -reach) cover[n] = d > 0 ? NEAR | WITHIN : NEAR;
  });
  return cover;
}

/** Whether two covers share any point. */
export function meet(a: CoveredCells, b: CoveredCells): boolean {
  return a.some((value, i) => value !== 0 && b[i] !== 0);
}

/** The points that lie in a cover; of what is finer than the lattice, those it passes near. */
export function pointsOf(cover: CoveredCells): readonly number[] {
  const known = POINTS.get(cover);
  if (known) return known;
  const within: number[] = [];
  const near: number[] = [];
  for (let i = 0; i < cover.length; i += 1) {
    const value = cover[i]!;
    if (value !== 0) near.push(i);
    if ((value & WITHIN) !== 0) within.push(i);
  }
  const points = within.length >= LEAST_POINTS ? within : near;
  POINTS.set(cover, points);
  return points;
}
/** Covers are asked for again by every plan of their nail. */
const POINTS = new WeakMap<CoveredCells, readonly number[]>();
/** Fewer points than these do not tell what lies under a stroke. */
const LEAST_POINTS = 3;

/** Where each lattice point lies, in mm, by its number; undefined for what is past the nail's outline. */
export function latticeOf(frame: NailFrame): Lattice {
  const known = LATTICES.get(frame);
  if (known) return known;
  const lattice = Array.from({ length: LATTICE_X * LATTICE_Y }, (_, n) => {
    const x = ((n % LATTICE_X) + 0.5) * (frame.arc_mm / LATTICE_X) - frame.arc_mm / 2;
    const y = (Math.floor(n / LATTICE_X) + 0.5) * (frame.length_mm / LATTICE_Y);
    return Math.abs(x) < frame.halfWidth_mm(y) ? { x, y } : undefined;
  });
  LATTICES.set(frame, lattice);
  return lattice;
}
export type Lattice = readonly ({ x: number; y: number } | undefined)[];
const LATTICES = new WeakMap<NailFrame, Lattice>();
