import type { ShelfItem } from '../model/shelf';

/** When a product is no longer good: by what it is judged, and whether that day is over. */
export interface Past {
  /** ISO 8601: the last day it is good. */
  good_until: string;
  by: 'opened' | 'use-by';
  gone: boolean;
}

/** So many days ahead it is told. */
const SOON_DAYS = 30;

/** The day so many months after another, or the last of its month: 31 January and a month is 28 February. */
export function monthsAfter(day: string, months: number): string {
  const [year, month, date] = day.split('-').map(Number) as [number, number, number];
  const last = new Date(Date.UTC(year, month - 1 + months + 1, 0)).getUTCDate();
  return new Date(Date.UTC(year, month - 1 + months, Math.min(date, last))).toISOString().slice(0, 10);
}

/** The products that are no longer good on a day. */
export function pastOn(shelf: readonly ShelfItem[], on: string): string[] {
  return shelf.filter((item) => pastOf(item, on)?.gone).map(({ product }) => product.id);
}

/** What is told of a product's age on a day: that it is past its date, or will be soon. Undefined where there is nothing to tell. */
export function pastOf({ opened_on, good_for_months, use_by }: ShelfItem, on: string): Past | undefined {
  const opened =
    opened_on && good_for_months
      ? ({ good_until: monthsAfter(opened_on, good_for_months), by: 'opened' } as const)
      : undefined;
  const used = use_by ? ({ good_until: use_by, by: 'use-by' } as const) : undefined;
  const first = opened && used ? (opened.good_until < used.good_until ? opened : used) : (opened ?? used);
  if (!first) return undefined;
  const gone = first.good_until < on;
  const days = (Date.parse(first.good_until) - Date.parse(on)) / 86_400_000;
  return gone || days <= SOON_DAYS ? { ...first, gone } : undefined;
}
