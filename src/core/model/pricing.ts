import * as z from 'zod/mini';
import { Cents, Currency } from './money';
import { share, Words } from './primitives';

/** Upward: to the next coin an artist likes to name; `to_cents` 1 rounds nothing. */
export const ROUNDINGS = ['up', 'nearest'] as const;

/**
 * What an artist asks for her work. `rate_cents` is for an hour; null where she has not said. Tax is stated as she states it:
 * `tax_included` where her prices hold it already.
 */
export const Pricing = z.strictObject({
  currency: Currency,
  rate_cents: z.nullable(Cents),
  /** By the time that half of such evenings take, or that nine of ten keep. */
  by: z.enum(['half', 'nine']),
  /** What every set costs besides: rent, laundry, wipes. */
  fixed: z
    .array(z.strictObject({ words: Words, cents: Cents }))
    .check(z.maxLength(12, 'must hold at most 12 costs')),
  /** Added to the material: what buying and keeping it costs. */
  material_markup: share().check(z.gte(0), z.lte(5)),
  tax_percent: z.number().check(z.gte(0, 'must be at least 0 %'), z.lte(50, 'must be at most 50 %')),
  tax_included: z.boolean(),
  rounding: z.enum(ROUNDINGS),
  to_cents: z.int().check(z.gte(1), z.lte(1_000_000)),
  /** Share of the price that is paid ahead. */
  deposit: share().check(z.gte(0), z.lte(1)),
});
export type Pricing = z.infer<typeof Pricing>;

/** What nobody has said yet: no rate, no tax, nothing rounded. */
export const NO_PRICING: Pricing = {
  currency: 'EUR',
  rate_cents: null,
  by: 'half',
  fixed: [],
  material_markup: 0,
  tax_percent: 0,
  tax_included: false,
  rounding: 'nearest',
  to_cents: 1,
  deposit: 0,
};

/** What was offered for a set, as it was offered: in words of its own, so that later prices change nothing of it. */
export const Offered = z.strictObject({
  /** ISO 8601, the day it was offered. */
  on: z.iso.date('must be a day such as 2026-11-25'),
  currency: Currency,
  total_cents: Cents,
  deposit_cents: Cents,
  /** What the client reads. */
  says: z.string().check(z.maxLength(4000, 'must be at most 4000 characters')),
});
export type Offered = z.infer<typeof Offered>;
