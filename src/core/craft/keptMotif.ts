import * as z from 'zod/mini';
import { Id, Words } from '../model/primitives';
import { Product } from '../model/product';
import { Region } from '../regions';

export const MOST_COLOURS = 8;
export const CURES = ['each', 'groups', 'all'] as const;

/** A drawing in the artist's own library: its colours in the order in which they are drawn, each with the product it was drawn in. */
export const KeptMotif = z.strictObject({
  id: Id,
  name: Words,
  cure: z.enum(CURES),
  colours: z
    .array(z.strictObject({ product: Product, region: Region }))
    .check(z.minLength(1), z.maxLength(MOST_COLOURS)),
});
export type KeptMotif = z.infer<typeof KeptMotif>;
