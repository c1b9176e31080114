import * as z from 'zod/mini';
import { HANDS } from './names';
import { count } from './primitives';
import { PRODUCT_FAMILIES } from './product';

const Share = z.number().check(z.gte(0.05), z.lte(20));

/**
 * How long an artist's own hands take for one kind of work, as a share of the guide: the middle of what was seen, and how far its
 * middle half reaches. Of products of one family, or of any; on one hand, or on either.
 */
export const OwnTime = z.strictObject({
  /** What is done, by its verb: "coat", "file". */
  work: z.string().check(z.regex(/^[a-z-]{2,40}$/, 'must be a kind of work such as coat')),
  family: z.optional(z.enum(PRODUCT_FAMILIES)),
  hand: z.optional(z.enum(HANDS)),
  share: Share,
  from: Share,
  to: Share,
  /** How often it was seen. */
  times: count(1, 100_000),
});
export type OwnTime = z.infer<typeof OwnTime>;

/** So many a set can carry. */
export const MOST_OWN_TIMES = 400;

type Asked = Pick<OwnTime, 'work' | 'family' | 'hand'>;

/** What is known of some work: the nearest to it, first with its family on its hand, then its family, then the work alone. */
export function nearestOwn(own: readonly OwnTime[], { work, family, hand }: Asked): OwnTime | undefined {
  const fits = own.filter(
    (one) =>
      one.work === work &&
      (one.family === undefined || one.family === family) &&
      (one.hand === undefined || one.hand === hand),
  );
  const nearness = (one: OwnTime) => (one.family === undefined ? 0 : 2) + (one.hand === undefined ? 0 : 1);
  return fits.reduce<OwnTime | undefined>(
    (best, one) => (best === undefined || nearness(one) > nearness(best) ? one : best),
    undefined,
  );
}
