import type { NailFrame } from '../geometry/frame';
import type { Product } from '../model/product';
import { coatOf, cureSeconds, dark, DIRECTION_MARGIN, flashSeconds, through_s } from './cure';
import { hardenOf } from './drafts';
import type { Draft, Place } from './operation';
import { comeWithin } from './touching';

/** One light for colours that are cured together: as long as the slowest asks, through what lies over it. */
export function curedTogether(
  parts: readonly { product: Product; place: Place }[],
  place: Place,
  pass: number,
  frame: NailFrame,
): Draft[] {
  const asked = parts.map(({ product, place: own }, i) => {
    const shade = parts
      .slice(i + 1)
      .filter((over) => comeWithin(frame, own, over.place, 0))
      .reduce((sum, over) => sum + dark(over.product, coatOf(over.product)), 0);
    const seconds = cureSeconds(product, coatOf(product));
    // What something lies over has had a flash before that.
    const left_s = Math.max(0, DIRECTION_MARGIN * seconds - flashSeconds(product, coatOf(product)));
    return { product, seconds: Math.max(seconds, through_s(left_s, shade)) };
  });
  const names = [...new Set(parts.map((one) => one.product.name))];
  const { product, seconds } = asked.reduce((a, b) => (b.seconds > a.seconds ? b : a));
  return hardenOf(product, coatOf(product), place, 'cure', pass).map((draft) =>
    draft.lamp ? { ...draft, words: `Cure ${names.join(', ')}`, lamp: { ...draft.lamp, seconds } } : draft,
  );
}
