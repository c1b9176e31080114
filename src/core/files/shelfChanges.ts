import type { ShelfItem } from '../model/shelf';
import { COLUMNS, cellOf } from './shelfCsv';

/** What taking a list in would change on a shelf. */
export interface ShelfChanges {
  fresh: ShelfItem[];
  changed: { item: ShelfItem; columns: { column: string; was: string; is: string }[] }[];
  /** So many are on the shelf just as the list has them. */
  same: number;
}

/** Compares a list with a shelf, product by product and column by column. */
export function shelfChanges(list: readonly ShelfItem[], shelf: readonly ShelfItem[]): ShelfChanges {
  const here = new Map(shelf.map((one) => [one.product.id, one]));
  const changes: ShelfChanges = { fresh: [], changed: [], same: 0 };
  for (const item of list) {
    const before = here.get(item.product.id);
    if (!before) {
      changes.fresh.push(item);
      continue;
    }
    const columns = COLUMNS.map((column) => ({
      column,
      was: cellOf(before, column),
      is: cellOf(item, column),
    })).filter(({ was, is }) => was !== is);
    if (columns.length > 0) changes.changed.push({ item, columns });
    else changes.same += 1;
  }
  return changes;
}
