import type { Region } from '../model/region';
import { REGION_KINDS } from './regionKinds';
import { TECHNIQUES, techniqueOf, type Element } from './techniques';
import type { FreshProducts } from './technique';

/** One thing that can be added to a look, as an artist thinks of it. */
export interface Offer {
  key: string;
  words: string;
  /** What it is, in a sentence for someone who has read nothing. */
  blurb: string;
  fresh: (id: string, products: FreshProducts) => Element;
}

/** What a colour on a part of the nail is to an artist: a thing of its own. */
const PAINTED: readonly { region: Region['kind']; words: string; blurb: string; crossed?: true }[] = [
  { region: 'lines', words: 'Lines', blurb: 'Stripes or waves, drawn one by one with a liner.' },
  { region: 'lines', words: 'Checks', blurb: 'Lines one way and across.', crossed: true },
  { region: 'dots', words: 'Dots', blurb: 'Rows of dots with a dotting tool.' },
  { region: 'letters', words: 'Letters', blurb: 'A word or initials, drawn with a liner.' },
  { region: 'path', words: 'A drawn line', blurb: 'One line, drawn by hand on the nail here.' },
  { region: 'outline', words: 'A drawn shape', blurb: 'A filled shape, drawn by hand on the nail here.' },
  { region: 'oval', words: 'A spot', blurb: 'A round or oval patch of colour.' },
  { region: 'band', words: 'A band', blurb: 'A stripe of colour from side to side.' },
];

function painted({ region, words, blurb, crossed }: (typeof PAINTED)[number]): Offer {
  const { fresh } = REGION_KINDS.find(({ kind }) => kind === region)!;
  const colour = techniqueOf('colour');
  return {
    key: lowerKey(words),
    words,
    blurb,
    fresh: (id, products) =>
      ({
        ...colour.fresh(id, { ...products, colour: products.second }),
        region: crossed ? { ...fresh, crossed } : fresh,
        passes: 1,
      }) as Element,
  };
}

const lowerKey = (words: string) => words.toLowerCase().replace(/\W+/g, '-');

/** All that can be added to a look: every technique, and what is painted on a part of the nail. */
export const OFFERS: readonly Offer[] = [
  ...TECHNIQUES.map(({ kind, words, blurb, fresh }): Offer => ({ key: kind, words, blurb, fresh })),
  ...PAINTED.map(painted),
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
