import { areaOf } from '../craft/area';
import type { Draft } from '../craft/operation';
import { piecesDistance } from '../craft/pieces';
import type { NailFrame } from '../geometry/frame';
import { perFrame } from '../geometry/perFrame';

const LATTICE_X = 19;
const LATTICE_Y = 32;

/** A sampled cover: one byte a lattice point. */
export type CoveredCells = Uint8Array;

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
      if (distance_mm(x, y) > -reach) cover[j * LATTICE_X + i] = 1;
    }
  }
  return cover;
}

/** Whether two covers share any point. */
export function meet(a: CoveredCells, b: CoveredCells): boolean {
  return a.some((value, i) => value === 1 && b[i] === 1);
}
