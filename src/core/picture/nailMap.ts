import { pieceOutline } from '../craft/pieces';
import { buildOf, frameOf } from '../document/nailContext';
import type { PlacedPiece } from '../craft/matter';
import type { Operation } from '../craft/operation';
import type { SetDocument } from '../document/document';
import { outlinePolygon, type NailFrame, type Point } from '../geometry/frame';
import { NAILS, type NailName } from '../model/names';
import { rounded } from '../model/rounded';

/** Where things lie on one nail, in mm: across from its middle, along from the cuticle, on the unrolled nail. */
export interface NailMap {
  nail: NailName;
  width_mm: number;
  length_mm: number;
  bed_mm: number;
  outline: Point[];
  items: Mapped[];
  /** More of the last of them, without a mark of its own. */
  also?: Point[][];
}

interface Mapped {
  words: string;
  outline: Point[];
  size: string;
  at: string;
  x_mm: number;
  y_mm: number;
}

/** A piece as a map says it. */
export function placedAt(piece: PlacedPiece): Mapped {
  const side = piece.x_mm < -0.05 ? 'left' : piece.x_mm > 0.05 ? 'right' : 'middle';
  return {
    words: piece.words,
    outline: pieceOutline(piece),
    size: `${rounded(piece.length_mm, 1)} × ${rounded(piece.width_mm, 1)}`,
    at: `${Math.abs(rounded(piece.x_mm, 1))} ${side}, ${rounded(piece.y_mm, 1)} up`,
    x_mm: piece.x_mm,
    y_mm: piece.y_mm,
  };
}

/** A nail with nothing on it yet. */
export function emptyMap(nail: NailName, frame: NailFrame): Omit<NailMap, 'items'> {
  return {
    nail,
    width_mm: frame.arc_mm,
    length_mm: frame.length_mm,
    bed_mm: frame.bed_mm,
    outline: outlinePolygon(frame, 24),
  };
}

/** Maps of the nails that carry pieces, stones or charms. Nails that are mapped alike share one, by their first. */
export function nailMaps(set: SetDocument, operations: Record<NailName, readonly Operation[]>): NailMap[] {
  return NAILS.flatMap((nail): NailMap[] => {
    const items = operations[nail].flatMap((operation) =>
      operation.deposit?.kind === 'pieces' ? operation.deposit.pieces.map(placedAt) : [],
    );
    if (items.length === 0) return [];
    const frame = frameOf(set.nails[nail], buildOf(set, set.nails[nail]));
    return [{ ...emptyMap(nail, frame), items }];
  });
}
