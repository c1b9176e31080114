import { areaOf } from './area';
import type { Draft } from './operation';
import { piecesDistance } from './pieces';
import type { NailFrame } from '../geometry/frame';
import { perFrame } from '../geometry/perFrame';

const LATTICE_X = 28;
const LATTICE_Y = 44;

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
    return sampled(frame, JSON.stringify(pieces ?? draft.place), () =>
      sample(frame, pieces ? piecesDistance(pieces) : areaOf(frame, draft.place).distance_mm),
    );
  };
  const together = new WeakMap<readonly object[], CoveredCells>();
  return (drafts) => {
    const asked = together.get(drafts);
    if (asked) return asked;
    const all = new Uint8Array(LATTICE_X * LATTICE_Y);
    for (const cover of new Set(drafts.map(one))) cover.forEach((value, i) => (all[i]! |= value));
    together.set(drafts, all);
    return all;
  };
}

function sample(frame: NailFrame, distance_mm: (x: number, y: number) => number): CoveredCells {
  const cover = new Uint8Array(LATTICE_X * LATTICE_Y);
  // Any point of the nail is nearer than this to a point of the lattice, so nothing falls between.
  const reach = 0.75 * Math.max(frame.arc_mm / LATTICE_X, frame.length_mm / LATTICE_Y);
  for (let j = 0; j < LATTICE_Y; j += 1) {
    for (let i = 0; i < LATTICE_X; i += 1) {
      const x = (((i + 0.5) / LATTICE_X) * 2 - 1) * (frame.arc_mm / 2);
      const y = ((j + 0.5) / LATTICE_Y) * frame.length_mm;
      const inside_mm = distance_mm(x, y);
      if (inside_mm > -reach) cover[j * LATTICE_X + i] = inside_mm > 0 ? NEAR | WITHIN : NEAR;
    }
  }
  return cover;
}

/** Whether two covers share any point. */
export function meet(a: CoveredCells, b: CoveredCells): boolean {
  return a.some((value, i) => value !== 0 && b[i] !== 0);
}

/** The points that lie in a cover; of what is finer than the lattice, those it passes near. */
export function pointsOf(cover: CoveredCells): number[] {
  const within: number[] = [];
  const near: number[] = [];
  cover.forEach((value, i) => {
    if (value !== 0) near.push(i);
    if ((value & WITHIN) !== 0) within.push(i);
  });
  return within.length >= LEAST_POINTS ? within : near;
}
/** Fewer points than these do not tell what lies under a stroke. */
const LEAST_POINTS = 3;

/** Where each lattice point lies, in mm, by its number; undefined for what is past the nail's outline. */
export function latticeOf(frame: NailFrame): ({ x: number; y: number } | undefined)[] {
  return Array.from({ length: LATTICE_X * LATTICE_Y }, (_, n) => {
    const x = ((((n % LATTICE_X) + 0.5) / LATTICE_X) * 2 - 1) * (frame.arc_mm / 2);
    const y = ((Math.floor(n / LATTICE_X) + 0.5) / LATTICE_Y) * frame.length_mm;
    return Math.abs(x) < frame.halfWidth_mm(y) ? { x, y } : undefined;
  });
}
