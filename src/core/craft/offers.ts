import { TECHNIQUES, type Element } from './techniques';
import type { Variant } from './technique';

/** One thing that can be added to a look, as an artist thinks of it. */
export type Offer = Variant<Element>;

/** All that can be added to a look: every technique, and what it offers under other names. */
export const OFFERS: readonly Offer[] = [
  ...TECHNIQUES.map(({ kind, words, blurb, fresh }): Offer => ({ key: kind, words, blurb, fresh })),
  ...TECHNIQUES.flatMap(({ also = [] }) => also),
];

/** The offers that have every word that is sought, in their name or in what is said of them. */
export function offersFor(sought: string): readonly Offer[] {
  const words = sought.toLowerCase().split(/\s+/).filter(Boolean);
  const said = ({ words: own, blurb }: Offer) => `${own} ${blurb}`.toLowerCase();
  const found = OFFERS.filter((offer) => words.every((word) => said(offer).includes(word)));
  // What is called so comes before what only mentions it.
  const named = (offer: Offer) => words.every((word) => offer.words.toLowerCase().includes(word));
  return [...found.filter(named), ...found.filter((offer) => !named(offer))];
}
