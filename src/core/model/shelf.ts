import * as z from 'zod/mini';
import { Product } from './product';

/** A day, as ISO 8601 writes it: 2026-03-01. */
export const Day = z.iso.date('must be a day such as 2026-03-01');

/** A product as an artist has it: how many are left, what one cost, when it was opened; null where not noted. */
export const ShelfItem = z.strictObject({
  product: Product,
  count: z.nullable(z.int().check(z.gte(0), z.lte(9999))),
  price: z.nullable(z.number().check(z.gte(0), z.lte(99999))),
  opened_on: z.nullable(Day),
});
export type ShelfItem = z.infer<typeof ShelfItem>;
