import * as z from 'zod/mini';
import { regionNoun } from '../../regions';
import { count, Id } from '../../model/primitives';
import { placeOf } from '../context';
import { ART_FAMILIES, artFilm } from '../artFilm';
import { passesOf } from '../drafts';
import { regionKindOf } from '../../regions';
import { HAND_S } from '../handwork';
import { partHandles } from '../partHandles';
import { COVERED } from '../ways';
import { painted } from './painted';
import {
  defineTechnique,
  FILM_BASE,
  FILM_FIELDS,
  FILM_SEATS,
  FRESH_FILM,
  type PickProduct,
} from '../technique';

const schema = z.strictObject({
  ...FILM_BASE,
  kind: z.literal('colour'),
  product: Id,
  /** As many coats as the colour needs to cover, or a number of the artist's own. */
  passes: z.union([z.literal('cover'), count(1, 5)]),
});

type Colour = z.infer<typeof schema>;

const fresh = (id: string, pick: PickProduct): Colour => ({
  id,
  kind: 'colour',
  ...FRESH_FILM,
  product: pick({ families: ['gel-colour'] }),
  passes: 'cover',
});

/** One colour on the whole nail or a region of it. */
export const colour = defineTechnique({
  kind: 'colour',
  words: 'Colour',
  blurb: 'One colour, in as many thin coats as it needs to cover.',
  schema,
  ground: true,
  ...FILM_SEATS,
  fields: [
    {
      kind: 'product',
      path: 'product',
      words: 'Colour',
      families: ART_FAMILIES,
    },
    {
      kind: 'choice',
      path: 'passes',
      words: 'Coats',
      choices: [
        { value: 'cover', words: 'Until it covers' },
        { value: 1, words: 'One' },
        { value: 2, words: 'Two' },
        { value: 3, words: 'Three' },
      ],
    },
    ...FILM_FIELDS,
  ],
  fresh,
  also: painted(fresh),
  handles: partHandles,
  ways: COVERED,
  products: (element) => [element.product],
  called: ({ product, region }, nameOf) => [nameOf(product), regionNoun(region)].join(' ').trim(),
  plan: (element, context) => {
    const product = context.product(element.product);
    const passes = passesOf(product, element.passes);
    return artFilm(
      product,
      {
        step: 'coat',
        cureStep: 'cure',
        place: placeOf(context, element),
        paint: { kind: 'product' },
        passes,
        words: product.name,
        hand_s: regionKindOf(element.region.kind).drawn_s?.(element.region) ?? HAND_S.coat,
        reason:
          element.passes === 'cover'
            ? `It covers in ${product.coats_to_cover ?? 2} coats; thin coats cure through.`
            : `${passes === 1 ? 'One coat' : `${passes} coats`}, as chosen for this look.`,
      },
      context,
    );
  },
});
