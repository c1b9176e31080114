import type { Product, ProductFamily } from '../model/product';
import { wholePlace } from './context';
import { coatOf, cureSeconds } from './cure';
import { hardenOf } from './drafts';
import { lampOf, settingOf } from './families';
import { DUST, HAND_S, MONOMER, SKIN } from './handwork';
import type { Draft, Place } from './operation';

/** What petals and leaves are moulded of, and what is painted over a stone. */
export const MOULDED: readonly ProductFamily[] = ['putty-gel', 'builder-gel', 'acrylic'];
export const PAINTED: readonly ProductFamily[] = ['gel-colour', 'art-gel', 'liner-gel'];

/** Its own making, off the hand: pressed in, hardened in the mould, taken out and filed clean. */
export function mouldedAhead(words: string, product: Product): Draft[] {
  const place = wholePlace();
  const hardens_s = lampOf(product) ? cureSeconds(product, MOULDED_UM) : (settingOf(product)?.dry_s ?? 0);
  return [
    {
      step: 'fill',
      verb: 'make',
      words: `Press ${product.name} into the mould for the ${words}`,
      place,
      hand_s: HAND_S.make,
      scope: 'set',
      wait_s: hardens_s,
      caution: lampOf(product) ? SKIN : MONOMER,
      reason: lampOf(product)
        ? `No air below; then ${hardens_s} s in the lamp, mould and all, away from the hand.`
        : 'No air below; then it is left to set, away from the hand.',
    },
    {
      step: 'take-out',
      verb: 'make',
      words: `Take the ${words} out of its mould, file its rim clean`,
      place,
      hand_s: HAND_S.make,
      scope: 'set',
      caution: DUST,
      reason: 'A clean rim lies flat in its bead, and nothing catches on it.',
    },
  ];
}
/** How thick what is moulded cures (common practice). */
const MOULDED_UM = 800;

/** A thin colour over what is held, hardened there. */
export function paintedOver(words: string, product: Product, place: Place): Draft[] {
  return [
    {
      step: 'paint',
      verb: 'paint-body',
      words: `Paint the ${words} over in ${product.name}, thin`,
      product: product.id,
      place,
      hand_s: HAND_S['paint-body'],
      reason: 'Facets and rim first; thick, it runs down and glues the rim to the top.',
    },
    ...hardenOf(product, coatOf(product), place, 'cure-paint'),
  ];
}
