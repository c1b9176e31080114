import * as z from 'zod/mini';
import { UNITS } from './amounts';

const Amount = z.int().check(z.gte(0), z.lte(99_999_999));

/** What a set took of one thing on the shelf: a product, a size of a box, or a supply. */
export const TakenLine = z.strictObject({
  table: z.enum(['shelf', 'supplies']),
  id: z.string().check(z.maxLength(80)),
  size: z.optional(z.int().check(z.gte(0), z.lte(12))),
  unit: z.enum(UNITS),
  amount: Amount,
});
export type TakenLine = z.infer<typeof TakenLine>;

/**
 * What a set that is done took off the shelf: one a set, however often it is said to be done, and none once it is said not to be.
 * `lines` is null until it has been worked out.
 */
export const Taking = z.strictObject({
  set: z.string().check(z.maxLength(80)),
  title: z.string().check(z.maxLength(200)),
  /** When it was done, ISO 8601. */
  at: z.iso.datetime(),
  lines: z.nullable(z.array(TakenLine).check(z.maxLength(500))),
});
export type Taking = z.infer<typeof Taking>;

/** What stands on a shelf, as it was counted: since then what is done has taken of it. */
export interface Counted {
  table: TakenLine['table'];
  id: string;
  size?: number;
  counted_at?: string | null | undefined;
}

/** How much of it was taken since it was counted. */
export function takenSince(counted: Counted, takings: readonly Taking[]): number {
  const since = counted.counted_at ? Date.parse(counted.counted_at) : -Infinity;
  let taken = 0;
  for (const { at, lines } of takings) {
    // What was done before is in the count.
    if (!lines || Date.parse(at) < since) continue;
    for (const line of lines)
      if (line.table === counted.table && line.id === counted.id && line.size === counted.size)
        taken += line.amount;
  }
  return taken;
}
