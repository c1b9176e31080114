import type { Bottles, ShelfItem } from '../model/shelf';
import { pastOn } from './pastDate';

/** The bottles of a shelf on a day (ISO 8601). */
export function bottlesOn(shelf: readonly ShelfItem[], on: string): Bottles {
  return {
    past: new Set(pastOn(shelf, on)),
    batches: new Map(shelf.flatMap(({ product, batch }) => (batch ? [[product.id, batch]] : []))),
  };
}
