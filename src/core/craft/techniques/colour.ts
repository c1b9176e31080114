import * as z from 'zod';
import { regionNoun } from '../../regions';
import { Id } from '../../model/primitives';
import { onNail, placeOf } from '../context';
import { coatOf } from '../cure';
import { coats, passesOf } from '../drafts';
import { FAMILIES } from '../families';
import { onPart } from '../../regions/handle';
import { regionKindOf } from '../../regions';
import { HAND_S } from '../handwork';
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
  passes: z.union([z.literal('cover'), z.number().int().min(1).max(5)]),
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
      families: ['gel-colour', 'two-stage-colour', 'art-gel', 'liner-gel', 'lacquer', 'mirror-powder'],
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
  handles: (element, context) =>
    onPart(regionKindOf(element.region.kind).handles(element.region, onNail(context, element)), (region) => ({
      ...element,
      region,
    })),
  ways: COVERED,
  products: (element) => [element.product],
  called: ({ product, region }, nameOf) => [nameOf(product), regionNoun(region)].join(' ').trim(),
  plan: (element, context) => {
    const product = context.product(element.product);
    const place = placeOf(context, element);
    const passes = passesOf(product, element.passes);
    const powder = FAMILIES[product.family].laid === 'powder';
    const laid = coats(product, passes, 'coat', 'cure', (pass) => ({
      verb: powder ? 'burnish' : product.family === 'liner-gel' ? 'draw' : 'coat',
      words: powder
        ? `Burnish ${product.name}`
        : `${product.name}${passes > 1 ? `, coat ${pass} of ${passes}` : ''}`,
      place,
      paint: { kind: 'product' },
      deposit: { kind: 'conformal', t_um: coatOf(product) },
      hand_s: regionKindOf(element.region.kind).drawn_s?.(element.region) ?? HAND_S.coat,
      reason:
        element.passes === 'cover'
          ? `It covers in ${product.coats_to_cover ?? 2} coats; thin coats cure through.`
          : `${passes === 1 ? 'One coat' : `${passes} coats`}, as chosen for this look.`,
    }));
    if (!powder) return laid;
    return [
      ...laid,
      {
        step: 'loose-off',
        verb: 'dust-off',
        words: 'Brush the loose rest off, strays off the plain part with alcohol',
        place,
        hand_s: HAND_S['dust-off'] * 4,
        reason: 'Loose powder under the top dulls the mirror, and gets into the bottle of the top.',
      },
    ];
  },
});
