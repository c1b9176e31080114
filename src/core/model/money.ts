import * as z from 'zod/mini';

/** What money is counted in, by its three letters (ISO 4217). */
export const Currency = z.string().check(z.regex(/^[A-Z]{3}$/, 'must be three capital letters such as EUR'));

/** Whole cents, or whatever the smallest coin of a currency is. */
export const Cents = z.int().check(z.gte(0), z.lte(99_999_999));

/** How many digits a currency has after its point: two of most, none of some (ISO 4217, as the machine knows it). */
export function digitsOf(currency: string): number {
  try {
    return (
      new Intl.NumberFormat('en-GB', { style: 'currency', currency }).resolvedOptions()
        .maximumFractionDigits ?? 2
    );
  } catch {
    return 2;
  }
}

/** "€48.50" of 4850 cents. */
export function moneyWords(cents: number, currency: string): string {
  const digits = digitsOf(currency);
  return new Intl.NumberFormat('en-GB', { style: 'currency', currency }).format(cents / 10 ** digits);
}

/** An amount as it is typed, in whole cents: to the nearest. */
export function centsOf(amount: number, currency: string): number {
  return Math.round(amount * 10 ** digitsOf(currency));
}

/**
 * A sum in parts by their weights, in whole cents: the parts add up to the sum, and each is within a cent of its share
 * (largest remainder). All of it goes to the first where nothing weighs anything.
 */
export function splitCents(cents: number, weights: readonly number[]): number[] {
  const sum = weights.reduce((all, one) => all + one, 0);
  if (weights.length === 0) return [];
  if (sum <= 0) return weights.map((_, i) => (i === 0 ? cents : 0));
  const exact = weights.map((one) => (cents * one) / sum);
  const parts = exact.map(Math.floor);
  const left = cents - parts.reduce((all, one) => all + one, 0);
  const byRest = exact.map((one, i) => ({ i, rest: one - Math.floor(one) }));
  byRest.sort((a, b) => b.rest - a.rest || a.i - b.i);
  for (const { i } of byRest.slice(0, left)) parts[i]! += 1;
  return parts;
}
