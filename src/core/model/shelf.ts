import * as z from 'zod';
import { Product } from './product';

/** A day, as ISO 8601 writes it: 2026-03-01. */
export const Day = z.iso.date('must be a day such as 2026-03-01');

/** A product as an artist has it: how many are left, what one cost, when it was opened; null where not noted. */
export const ShelfItem = z.strictObject({
  product: Product,
  count: z.number().int().min(0).max(9999).nullable(),
  price: z.number().min(0).max(99999).nullable(),
  opened_on: Day.nullable(),
});
export type ShelfItem = z.infer<typeof ShelfItem>;
