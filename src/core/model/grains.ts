import * as z from 'zod/mini';
import { Colour, count, mm } from './primitives';

/** What grains are cut as. */
export const GRAIN_SHAPES = ['round', 'hexagon', 'square', 'sliver'] as const;

/** Grains that come in a product: so many to a cm² of one of its coats. */
export const PotGrains = z.strictObject({
  shape: z.enum(GRAIN_SHAPES),
  size_mm: mm(0.03, 4, 0.05),
  colour: Colour,
  metallic: z.boolean(),
  per_cm2: count(1, 10000),
});
export type PotGrains = z.infer<typeof PotGrains>;
