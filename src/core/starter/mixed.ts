import { blend, masstone } from '../colour/film';
import { pigmentOf } from '../colour/pigments';
import { hexOf } from '../colour/space';
import type { Product } from '../model/product';
import { recoloured } from './shelf';

/** Two products mixed so many parts to so many, as a product of its own; its name is its recipe. */
export function mixed(
  parts: readonly { product: Product; parts: number }[],
  taken: ReadonlySet<string>,
): Product {
  const total = parts.reduce((sum, one) => sum + one.parts, 0);
  const mean = (of: (product: Product) => number) =>
    parts.reduce((sum, one) => sum + (one.parts / total) * of(one.product), 0);
  const like = parts.reduce((most, one) => (one.parts > most.parts ? one : most)).product;
  const name = parts.map((one) => `${one.parts} ${one.product.name}`).join(' + ');
  const colour = hexOf(
    masstone(blend(parts.map((one) => ({ pigment: pigmentOf(one.product), share: one.parts })))),
  );
  const made = recoloured(like, name, colour, taken);
  return {
    ...made,
    // It covers as its parts do on the mean, and lets as much light down; what creeps makes it creep.
    coats_to_cover: Math.round(mean((one) => one.coats_to_cover ?? 2) * 10) / 10,
    ...(made.lamp
      ? { lamp: { ...made.lamp, depth_um: Math.round(mean((one) => one.lamp?.depth_um ?? 100)) } }
      : {}),
    ...(parts.some((one) => one.product.runny) ? { runny: true } : {}),
  };
}
