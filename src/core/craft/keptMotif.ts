import * as z from 'zod/mini';
import { count, Id, Words } from '../model/primitives';
import { Product } from '../model/product';
import { Region } from '../regions';

export const MOST_COLOURS = 8;
export const CURES = ['each', 'groups', 'all'] as const;

/** Passes of one colour: two thin ones where it does not cover what it is drawn over. */
const Passes = count(1, 3);

/** What each colour of a drawing has besides its product: where its strokes run, what they are in it, and how often they are drawn. */
export const DRAWN_PART = {
  region: Region,
  /** As it is called at the table: "petals", "stem". */
  name: z.optional(Words),
  passes: z.optional(Passes),
} as const;

/** A drawing in the artist's own library: its colours in the order in which they are drawn, each with the product it was drawn in. */
export const KeptMotif = z.strictObject({
  id: Id,
  name: Words,
  cure: z.enum(CURES),
  colours: z
    .array(z.strictObject({ product: Product, ...DRAWN_PART }))
    .check(z.minLength(1), z.maxLength(MOST_COLOURS)),
});
export type KeptMotif = z.infer<typeof KeptMotif>;
