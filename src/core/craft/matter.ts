import type { CharmShape } from '../model/charmShapes';

/** What can lie on a nail, as plain data: bodies, what films are coloured with, and how matter is laid. */

/** A piece, stone or charm as it lies on this nail. Places in mm on the unrolled nail. */
export interface PlacedPiece {
  kind: 'piece' | 'stone' | 'charm';
  words: string;
  shape: CharmShape;
  x_mm: number;
  y_mm: number;
  width_mm: number;
  length_mm: number;
  height_mm: number;
  turn_deg: number;
  /** 0 drapes over the curve, 1 stays flat. */
  stiffness: number;
  colour: string;
  metallic: boolean;
}

/** Where a magnet may have drawn the shimmer. */
export const SHIMMER_FORMS = ['line', 'round', 'sides'] as const;

/** Shimmer in a film, drawn together at a place of this nail. */
export interface Shimmer {
  kind: 'shimmer';
  form: (typeof SHIMMER_FORMS)[number];
  x_mm: number;
  y_mm: number;
  turn_deg: number;
  width_mm: number;
}

/** What a film is coloured with. */
export type Paint =
  | { kind: 'product' }
  | {
      kind: 'blend';
      direction: 'along' | 'across';
      stops: { product: string; at: number }[];
      mirror: boolean;
    }
  | Shimmer;

export type Deposit =
  /** An even film. */
  | { kind: 'conformal'; t_um: number }
  /** Poured: as much as a nail `t_um` thick at the apex holds, smooth above, filling what lies below. */
  | { kind: 'level'; t_um: number }
  | { kind: 'pieces'; pieces: PlacedPiece[]; pressed: boolean }
  /** A ready tip over a bead of fixing gel; thicknesses at cuticle, apex and free edge. */
  | { kind: 'tip'; fixing_um: number; cuticle_um: number; apex_um: number; edge_um: number }
  /** A half tip on its place, over a film of glue. */
  | { kind: 'half-tip'; glue_um: number; tip_um: number }
  /** The room below a ready tip past the plate, filled from beneath. */
  | { kind: 'fill' };

/** Pieces no thicker than this lie on a tacky film as leaf does (common practice). */
export const FINE_PIECE_MM = 0.03;
