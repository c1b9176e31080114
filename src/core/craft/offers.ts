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
  const words = wordsOf(sought);
  const found = OFFERS.filter((offer) => isSought(offer, sought));
  // What begins so comes before what is called so somewhere, and that before what only mentions it.
  const rank = (offer: Offer) => {
    const name = offer.words.toLowerCase();
    return name.startsWith(words.join(' ')) ? 0 : words.every((word) => name.includes(word)) ? 1 : 2;
  };
  return found.toSorted((a, b) => rank(a) - rank(b));
}

/** Whether an offer has every word that is sought, in its name or in what is said of it. */
export function isSought({ words, blurb }: Pick<Offer, 'words' | 'blurb'>, sought: string): boolean {
  const said = `${words} ${blurb}`.toLowerCase();
  return wordsOf(sought).every((word) => said.includes(word));
}

function wordsOf(sought: string): string[] {
  return sought.toLowerCase().split(/\s+/).filter(Boolean);
}
