import { centsOf } from '../model/money';
import type { NailName } from '../model/names';
import type { Need } from './needs';
import { placeOf, type Stock } from './held';

/** What one thing of a set costs, in whole cents. */
export interface CostLine {
  key: string;
  words: string;
  cents: number;
}

/** What the material of a set costs, and what of it nobody knows. */
export interface Material {
  lines: CostLine[];
  cents: number;
  /** Things whose price, or what one holds, is not noted. */
  unpriced: string[];
  /** Things that were paid in other money: nothing is added up across moneys. */
  other_currency: string[];
}

/** The material of a set at what it cost, in the money of the price. */
export function materialOf(needs: readonly Need[], stock: Stock, currency: string): Material {
  const lines: CostLine[] = [];
  const unpriced: string[] = [];
  const other_currency: string[] = [];
  for (const need of needs) {
    const place = placeOf(need, stock);
    if (place?.price === undefined || !place.pack) {
      if (need.of.kind !== 'other') unpriced.push(need.words);
      continue;
    }
    if (place.currency !== undefined && place.currency !== currency) {
      other_currency.push(`${need.words} (${place.currency})`);
      continue;
    }
    const cents = Math.round((centsOf(place.price, currency) * need.amount) / place.pack);
    lines.push({ key: need.key, words: need.words, cents });
  }
  return { lines, cents: lines.reduce((sum, one) => sum + one.cents, 0), unpriced, other_currency };
}

/** The share of a material's cost that some nails, or some elements, bring: by the amounts they take. Not in whole cents. */
export function shareOf(
  material: Material,
  needs: readonly Need[],
  is: (part: { nail: NailName; element: string }) => boolean,
): number {
  const byKey = new Map(needs.map((need) => [need.key, need]));
  return material.lines.reduce((sum, { key, cents }) => {
    const parts = byKey.get(key)?.parts ?? [];
    const all = parts.reduce((total, part) => total + part.amount, 0);
    const own = parts.reduce((total, part) => total + (is(part) ? part.amount : 0), 0);
    return all > 0 ? sum + (cents * own) / all : sum;
  }, 0);
}
