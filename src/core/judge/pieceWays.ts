import type { Element } from '../craft/techniques';

/** A piece as an inlay lists it. */
export type Piece = Extract<Element, { kind: 'inlay' }>['pieces'][number];

/** What gives on such pieces drapes over a C-curve (common practice). */
const GIVES = 0.3;

/** The same piece of a stuff that gives. */
export function softer(piece: Piece): Piece {
  return { ...piece, stiffness: Math.min(piece.stiffness, GIVES) };
}

/** The same piece turned along the nail, where it has hardly any curve to follow. */
export function turnedAlong(piece: Piece): Piece {
  return { ...piece, turn_deg: piece.width_mm > piece.length_mm ? 90 : 0 };
}
