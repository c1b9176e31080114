import * as z from 'zod/mini';
import { Currency } from './money';
import { Product } from './product';

/** A day, as ISO 8601 writes it: 2026-03-01. */
export const Day = z.iso.date('must be a day such as 2026-03-01');

/** What the content of a bottle or pot is told in. */
export const HELD_UNITS = ['mL', 'g'] as const;
export type HeldUnit = (typeof HELD_UNITS)[number];

/**
 * A product as an artist has it; null or absent where not noted. `count`: how many bottles were left when they were counted at
 * `counted_at`, parts of one as a share; `holds`: what a full one holds; `price`: what one cost.
 */
export const ShelfItem = z.strictObject({
  product: Product,
  count: z.nullable(z.number().check(z.gte(0), z.lte(9999))),
  price: z.nullable(z.number().check(z.gte(0), z.lte(99999))),
  opened_on: z.nullable(Day),
  currency: z.optional(z.nullable(Currency)),
  holds: z.optional(z.nullable(z.number().check(z.gt(0, 'must be more than 0'), z.lte(9999)))),
  holds_in: z.optional(z.nullable(z.enum(HELD_UNITS))),
  /** Of its film or powder, where its maker says so. */
  density_g_ml: z.optional(
    z.nullable(z.number().check(z.gte(0.3, 'must be at least 0.3 g/mL'), z.lte(5, 'must be at most 5 g/mL'))),
  ),
  /** How long it is good once opened, and until when unopened. */
  good_for_months: z.optional(z.nullable(z.int().check(z.gte(1), z.lte(120)))),
  use_by: z.optional(z.nullable(Day)),
  /** What its maker stamped on the one in use: asked for where something reacted. */
  batch: z.optional(
    z.nullable(
      z
        .string()
        .check(
          z.maxLength(60, 'must be at most 60 characters'),
          z.regex(/^\S(.*\S)?$/, 'must not begin or end with a space'),
        ),
    ),
  ),
  counted_at: z.optional(z.nullable(z.iso.datetime('must be a moment such as 2026-03-01T09:00:00Z'))),
});
export type ShelfItem = z.infer<typeof ShelfItem>;

/** What is known of the bottles that a set is made from on a day, by their products. */
export interface Bottles {
  /** Products that are past their date. */
  past: ReadonlySet<string>;
  /** What their makers stamped on those in use. */
  batches: ReadonlyMap<string, string>;
}
