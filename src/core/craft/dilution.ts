import * as z from 'zod/mini';
import { share } from '../model/primitives';

/** How much of a mixture is the colour; the rest is clear of its kind. */
export const Strength = share().check(z.gte(0.05), z.lte(0.5));

/** As it is mixed at a table, for 0.25: “1 part to 3 of clear”. */
export function mixedWithClear(strength: number): string {
  return `1 part to ${Math.round((1 - strength) / strength)} of clear`;
}
