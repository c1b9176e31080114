import type { Product } from '../model/product';
import { filmPigment, sheerPigment, type Pigment } from './film';
import { linearOf } from './space';

/** Clear product takes next to nothing from the light; a trace keeps the formulas regular. */
export const CLEAR: Pigment = { S: [0, 0, 0], K: [2e-6, 3e-6, 5e-6] };

const known = new Map<string, Pigment>();

/** The pigment of a product, from its colour, coats to cover and coat thickness; clear where it has no colour. */
export function pigmentOf(product: Product): Pigment {
  if (!product.colour) return CLEAR;
  const coats = product.coats_to_cover ?? 2;
  const coat = product.coat_um ?? 50;
  const ground = product.judged_on ?? 'nail';
  const key = [product.colour, coats, coat, ground, product.effect].join('|');
  let pigment = known.get(key);
  if (!pigment) {
    const seen = linearOf(product.colour);
    pigment =
      product.effect === 'sheer' ? sheerPigment(seen, coats, coat) : filmPigment(seen, coats, coat, ground);
    if (known.size > 2000) known.clear();
    known.set(key, pigment);
  }
  return pigment;
}
