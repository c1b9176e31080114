import * as z from 'zod/mini';
import { Id } from '../../model/primitives';
import { regionNoun } from '../../regions';
import { powderOn } from '../artFilm';
import { placeOf } from '../context';
import { ownTack } from '../drafts';
import { partHandles } from '../partHandles';
import { defineTechnique, FILM_BASE, FILM_FIELDS, FILM_SEATS, FRESH_FILM, TACK_FIELD } from '../technique';
import { OWN_TACK } from '../ways';

const schema = z.strictObject({
  ...FILM_BASE,
  kind: z.literal('pearl'),
  product: Id,
  /** Laid on a sticky layer of its own; otherwise on that of what lies below. */
  tack: z.boolean(),
});

/** Pearl powder: a veil of sheen over a colour that is cured and still sticky; dull until it is topped. */
export const pearl = defineTechnique({
  kind: 'pearl',
  words: 'Pearl powder',
  blurb: 'Rubbed onto tack until nothing more sticks: a veil of sheen, dull until it is topped.',
  schema,
  // Up to version 14 there was none.
  was: { 14: (options) => options },
  ...FILM_SEATS,
  fields: [
    { kind: 'product', path: 'product', words: 'Powder', families: ['pearl-powder'] },
    TACK_FIELD,
    ...FILM_FIELDS,
  ],
  fresh: (id, pick) => ({
    id,
    kind: 'pearl' as const,
    ...FRESH_FILM,
    product: pick({ families: ['pearl-powder'] }),
    tack: false,
  }),
  handles: partHandles,
  ways: OWN_TACK,
  products: (element) => [element.product],
  called: ({ product, region }, nameOf) => [nameOf(product), regionNoun(region)].join(' ').trim(),
  plan: (element, context) => {
    const product = context.product(element.product);
    const place = placeOf(context, element);
    const rubbed = powderOn(
      product,
      place,
      'It looks dull until it is topped: no more of it is wanted then, and none holds on powder.',
      context,
    );
    return element.tack ? [...ownTack(context, place, 'pearl powder'), ...rubbed] : rubbed;
  },
});
