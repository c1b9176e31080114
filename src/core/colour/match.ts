import type { Product } from '../model/product';
import { BED, blend, layerOf, over, type Pigment, type Triple } from './film';
import { pigmentOf } from './pigments';
import { difference } from './space';

/** A colour reached with what is there: one product, or two mixed so many parts to so many. */
export interface Match {
  parts: { product: string; parts: number }[];
  colour: Triple;
  /** CIEDE2000 to the colour that was wanted. */
  off: number;
}

/** Mixes an artist can measure with a spatula (common practice). */
const MIXES = [
  [1, 1],
  [2, 1],
  [1, 2],
  [3, 1],
  [1, 3],
] as const;

/** What a pigment shows after the coats that cover, over the bed. */
function seen(pigment: Pigment, { coats_to_cover = 2, coat_um = 45 }: Product): Triple {
  return over(layerOf(pigment, coats_to_cover * coat_um), BED);
}

/** The nearest product to a colour and the nearest mix of two, each with how far off it is. */
export function matchColour(wanted: Triple, products: readonly Product[]): { single?: Match; mix?: Match } {
  const colours = products
    .filter((one) => one.colour !== undefined && one.effect !== 'metallic')
    .map((product) => ({ product, pigment: pigmentOf(product) }));
  const best = (matches: Match[]) =>
    matches.reduce<Match | undefined>(
      (least, one) => (!least || one.off < least.off ? one : least),
      undefined,
    );
  const made = (parts: Match['parts'], colour: Triple): Match => ({
    parts,
    colour,
    off: Math.round(difference(colour, wanted) * 10) / 10,
  });
  const single = best(
    colours.map(({ product, pigment }) => made([{ product: product.id, parts: 1 }], seen(pigment, product))),
  );
  const mix = best(
    colours.flatMap((a, i) =>
      colours.slice(i + 1).flatMap((b) =>
        a.product.family !== b.product.family
          ? []
          : MIXES.map(([first, second]) =>
              made(
                [
                  { product: a.product.id, parts: first },
                  { product: b.product.id, parts: second },
                ],
                seen(
                  blend([
                    { pigment: a.pigment, share: first },
                    { pigment: b.pigment, share: second },
                  ]),
                  a.product,
                ),
              ),
            ),
      ),
    ),
  );
  return { ...(single ? { single } : {}), ...(mix ? { mix } : {}) };
}
