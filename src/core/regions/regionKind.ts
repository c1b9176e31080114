import type * as z from 'zod/mini';
import type { NailFrame } from '../geometry/frame';
import type { Area, Laying } from '../geometry/regions';
import type { Figure } from '../model/limits';
import type { Handle } from './handle';
import type { OnNail } from './on';

/** How a place on a nail is said: across −1 … 1, along 0 cuticle, 1 free edge, 2 tip; without a height, its side alone. */
export type SpotWords = (across: number, along?: number) => string;

/** One way to say a part of the nail: its schema, its curve, its words and what it is moved by. */
export interface RegionKind<R> {
  kind: string;
  words: string;
  /** What it makes of a colour that lies on it: "tip", "dots"; nothing of the whole nail. */
  noun: (region: R) => string;
  schema: z.ZodMiniType<R>;
  fresh: R;
  figures: (region: R) => readonly Figure[];
  /** What is on or off in it, by what it then is. */
  switches?: readonly { words: string; is: (region: R) => boolean; turned: (region: R) => R }[];
  /** Its curve and distance on one nail. */
  lay: (frame: NailFrame, region: R, laying: Laying) => Area;
  handles: (region: R, on: OnNail) => Handle<R>[];
  /** Where it is, as it is said at a table; `side` is −1 on the other hand. */
  says: (region: R, spot: SpotWords, side: 1 | -1) => string;
  /** Drawn to a size of its own, so that it can be too large for a nail; and what would bring it back onto it, least first. */
  sized?: { inwards: (region: R) => { words: string; region: R }[] };
  /** Guide seconds to draw it with a liner or a dotting tool; without them it is laid like a coat (common practice). */
  drawn_s?: (region: R) => number;
  /** How wide its strokes are, where it is made of strokes. */
  stroke_mm?: (region: R) => number;
  /** The same with its strokes so much finer, where that leaves any of them. */
  finer?: (region: R, by_mm: number) => R | undefined;
  /** The same without its outermost strokes, where others are left. */
  inner?: (region: R) => R | undefined;
  /** How many strokes it is drawn in, where that can be more than one. */
  strokes?: (region: R) => number;
  /** They are set with a dotting tool. */
  dotted?: true;
}

/** Keeps the exact schema, so that the union of regions can be made from the registry. */
export function defineRegion<S extends z.ZodMiniObject>(
  region: RegionKind<z.infer<S>> & { schema: S },
): RegionKind<z.infer<S>> & { schema: S } {
  return region;
}
