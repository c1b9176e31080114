import * as z from 'zod/mini';
import { mm, seconds } from './primitives';

/** Old product that is to come off, each in its own way. */
export const OLD_PRODUCTS = ['gel', 'soft-tip', 'acrylic', 'dip', 'hard-gel', 'peel-off', 'lacquer'] as const;
export type OldProduct = (typeof OLD_PRODUCTS)[number];

/** What has broken on a nail that stays, and is mended as it is filled. */
export const MENDS = ['no', 'crack', 'lift', 'chip'] as const;
export type Mend = (typeof MENDS)[number];

/** What lies on a nail as its wearer sits down. */
export const Start = z.discriminatedUnion('kind', [
  /** `dull`: the shine is off already, from an earlier removal or dry manicure. */
  z.strictObject({ kind: z.literal('bare'), dull: z.boolean() }),
  /** `soak_s`: what the remover's direction says; what is filed, lifted or wiped off does not soak. */
  z.strictObject({
    kind: z.literal('removal'),
    product: z.enum(OLD_PRODUCTS),
    soak_s: seconds(60, 3600, 60),
    stones: z.boolean(),
  }),
  /** A set that has grown out: the bare gap at the cuticle as measured, or from the weeks it was worn. */
  z.strictObject({
    kind: z.literal('infill'),
    weeks: z
      .number()
      .check(
        z.gte(0.5, 'must be at least half a week'),
        z.lte(12, 'must be at most 12 weeks'),
        z.meta({ unit: 'weeks', step: 0.5 }),
      ),
    gap_mm: z.nullable(mm(0.2, 10)),
    mend: z.enum(MENDS),
    /** Stones or charms of last time stand on it. */
    stones: z.boolean(),
  }),
  /** Prepared before the sitting: cuticle cleared, shaped, dull and clean; `primed`: dehydrated and primed as well. */
  z.strictObject({ kind: z.literal('prepared'), primed: z.boolean() }),
  /** A practice tip, on its stand or a practice hand: nobody wears it. */
  z.strictObject({ kind: z.literal('practice') }),
  /** An extension or a finished nail that stays: only art comes on it. */
  z.strictObject({ kind: z.literal('finished') }),
]);
export type Start = z.infer<typeof Start>;
export type StartOf<K extends Start['kind']> = Extract<Start, { kind: K }>;
