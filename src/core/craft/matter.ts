import type { Point } from '../geometry/frame';
import type { Smile } from '../model/smile';
import type { CharmShape } from '../model/charmShapes';
import type { FLAT_SHAPES } from '../model/pieceShapes';
import type { GRAIN_SHAPES } from '../model/grains';
import type { Profile } from '../geometry/profiles';
import type { ProductFamily } from '../model/product';
import type { Region } from '../regions';

/** What can lie on a nail, as plain data: bodies, what films are coloured with, and how matter is laid. */

/** How a body is formed. */
export type BodyShape = CharmShape | (typeof FLAT_SHAPES)[number];

/** A piece, stone or charm as it lies on this nail. Places in mm on the unrolled nail. */
export interface PlacedPiece {
  kind: 'piece' | 'stone' | 'charm';
  words: string;
  shape: BodyShape;
  /** Of its own, in place of the shape's; as shares of half width and half length. */
  outline?: readonly Point[];
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
  /** The product in clear: `strength` is its share of the mixture. */
  | { kind: 'diluted'; strength: number }
  | {
      kind: 'blend';
      direction: 'along' | 'across';
      stops: { product: string; at: number }[];
      mirror: boolean;
      /** Dabbed on: the run is grainy. */
      dabbed?: true;
    }
  | Shimmer
  | Marble;

/** Colours half mixed: veins of each, by its share of what was poured. */
export interface Marble {
  kind: 'marble';
  parts: { product: string; share: number }[];
  /** How wide a vein is, and which way it was drawn. */
  vein_mm: number;
  turn_deg: number;
  /** 0: side by side; 1: stirred into one colour. */
  mixed: number;
  seed: number;
  mirror: boolean;
  /** Its powders were taken up one over the other. */
  in_turn?: true;
}

/** The coloured edge of a ready-made tip. */
export interface TipFrench {
  colour: string;
  smile: Smile;
}

/** Many small bodies that nobody counts one by one. */
export interface Grains {
  words: string;
  shape: (typeof GRAIN_SHAPES)[number];
  size_mm: number;
  thickness_um: number;
  colour: string;
  metallic: boolean;
  /** How many are brought to a cm² where they lie thickest; those that fall on others do not hold. */
  per_cm2: number;
  seed: number;
  mirror: boolean;
}

/** Something thin that is laid whole, in the outline of its place. */
export interface Sheet {
  words: string;
  thickness_um: number;
  colour: string;
  metallic: boolean;
  /** Share of its place that it covers: what is torn or rubbed off leaves gaps. */
  whole: number;
  /** 0 lies smooth, 1 crumpled. */
  crinkle: number;
  /** How wide the shreds are that it breaks into. */
  shred_mm: number;
  /** What it takes on in full: elsewhere in patches. */
  takes_on?: ProductFamily;
  /** The picture on it, its lowest colour first; and whether what bears it is not seen itself. */
  print?: readonly { colour: string; region: Region }[];
  clear?: boolean;
  seed: number;
  mirror: boolean;
}

export type Deposit =
  /** A film that follows what lies below; without a profile, an even one. */
  | {
      kind: 'conformal';
      t_um: number;
      profile?: Profile;
      /** 0 gloss, 1 matte, where its product says nothing. */
      sheen?: number;
    }
  /** Poured: as much as a nail `t_um` thick at the apex holds, smooth above, filling what lies below. */
  | { kind: 'level'; t_um: number }
  | { kind: 'pieces'; pieces: PlacedPiece[]; pressed: boolean }
  | { kind: 'grains'; grains: Grains; profile?: Profile }
  | { kind: 'sheet'; sheet: Sheet; profile?: Profile }
  /** A ready tip over a bead of fixing gel; thicknesses at cuticle, apex and free edge. */
  | {
      kind: 'tip';
      fixing_um: number;
      cuticle_um: number;
      apex_um: number;
      edge_um: number;
      /** A French that it came with, in the tip itself. */
      french?: TipFrench;
    }
  /** A half tip on its place, over a film of glue. */
  | { kind: 'half-tip'; glue_um: number; tip_um: number; french?: TipFrench }
  /** The room below a ready tip past the plate, filled from beneath. */
  | { kind: 'fill' };

/** Pieces no thicker than this lie on a tacky film as leaf does (common practice). */
export const FINE_PIECE_MM = 0.03;
