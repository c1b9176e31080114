import * as z from 'zod';
import { pullsOf } from '../../geometry/letters';
import { regionNoun, type Region } from '../../model/region';
import { Id } from '../../model/primitives';
import { placeOf } from '../context';
import { coatOf } from '../cure';
import { coats, passesOf } from '../drafts';
import { FAMILIES } from '../families';
import { onPart } from '../handle';
import { regionHandles } from '../regionHandles';
import { HAND_S } from '../handwork';
import { COVERED } from '../ways';
import { painted } from './painted';
import {
  defineTechnique,
  FILM_BASE,
  FILM_FIELDS,
  FILM_SEATS,
  FRESH_FILM,
  type FreshProducts,
} from '../technique';

const schema = z.strictObject({
  ...FILM_BASE,
  kind: z.literal('colour'),
  product: Id,
  /** As many coats as the colour needs to cover, or a number of the artist's own. */
  passes: z.union([z.literal('cover'), z.number().int().min(1).max(5)]),
});

type Colour = z.infer<typeof schema>;

const fresh = (id: string, products: FreshProducts): Colour => ({
  id,
  kind: 'colour',
  ...FRESH_FILM,
  product: products.colour,
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
    onPart(regionHandles(element.region, context, element), (region) => ({ ...element, region })),
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
      hand_s: handOf(element.region),
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

/** A coat with the brush; lines are drawn one by one with a liner (common practice). */
function handOf(region: Region): number {
  if (region.kind === 'path') return HAND_S.draw;
  if (region.kind === 'dots') return Math.max(HAND_S.coat / 2, DOT_S * region.rows * region.columns);
  if (region.kind === 'letters') return Math.max(HAND_S.coat, PULL_S * pullsOf(region.text));
  if (region.kind !== 'lines') return HAND_S.coat;
  return Math.max(HAND_S.coat, LINE_S * region.count * (region.crossed ? 2 : 1));
}

const LINE_S = 8;
const PULL_S = 5;
const DOT_S = 2;
