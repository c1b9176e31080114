import { GROUNDS, layerOf, over, type Triple } from '../colour/film';
import { pigmentOf } from '../colour/pigments';
import { hexOf } from '../colour/space';
import { coatOf } from '../craft/cure';
import type { Product } from '../model/product';

export const SWATCH_COATS = [1, 2, 3] as const;

/** What one, two and three coats of a product show over a dark and a pale nail, `#rrggbb`. */
export function swatchOf(product: Product): { dark: string[]; pale: string[] } {
  const pigment = pigmentOf(product);
  const on = (grey: number) => {
    const ground: Triple = [grey, grey, grey];
    return SWATCH_COATS.map((coats) => hexOf(over(layerOf(pigment, coats * coatOf(product)), ground)));
  };
  return { dark: on(GROUNDS.nail.dark), pale: on(GROUNDS.nail.pale) };
}
