import * as z from 'zod/mini';
import { Id } from '../../model/primitives';
import { regionNoun } from '../../regions';
import { powderOn } from '../artFilm';
import { placeOf } from '../context';
import { partHandles } from '../partHandles';
import { slickTop } from '../slickTop';
import { defineTechnique, FILM_BASE, FILM_FIELDS, FILM_SEATS, FRESH_FILM } from '../technique';

const schema = z.strictObject({
  ...FILM_BASE,
  kind: z.literal('powder'),
  product: Id,
  /** It lays the no-wipe top that it is burnished on; otherwise the look has one below it. */
  own_top: z.boolean(),
  /** How long that top is cured before the powder. */
  top_cure: z.enum(['full', 'short']),
});

/** Mirror powder: so fine that it is a film of metal, burnished on a slick top that is still warm from its lamp. */
export const powder = defineTechnique({
  kind: 'powder',
  words: 'Mirror powder',
  blurb: 'Burnished on a no-wipe top that is warm from the lamp: a mirror, sealed by a top.',
  schema,
  was: { 12: (options) => ('own_top' in options ? { ...options, top_cure: 'full' } : options) },
  ...FILM_SEATS,
  fields: [
    { kind: 'product', path: 'product', words: 'Powder', families: ['mirror-powder'] },
    { kind: 'switch', path: 'own_top', words: 'With a no-wipe top of its own below' },
    {
      kind: 'choice',
      path: 'top_cure',
      words: 'That top is cured',
      choices: [
        { value: 'full', words: 'Its whole time' },
        { value: 'short', words: 'Half its time: the powder goes deeper' },
      ],
      where: { path: 'own_top', is: [true] },
    },
    ...FILM_FIELDS,
  ],
  fresh: (id, pick) => ({
    id,
    kind: 'powder' as const,
    ...FRESH_FILM,
    product: pick({ families: ['mirror-powder'] }),
    own_top: true,
    top_cure: 'full' as const,
  }),
  handles: partHandles,
  products: (element) => [element.product],
  called: ({ product, region }, nameOf) => [nameOf(product), regionNoun(region)].join(' ').trim(),
  plan: (element, context) => {
    const product = context.product(element.product);
    const place = placeOf(context, element);
    const rubbed = powderOn(
      product,
      place,
      'Rubbed in while the top is warm; along relief rather than across it.',
      context,
    );
    if (!element.own_top) return rubbed;
    return [...slickTop(context, place, 'powder', element.top_cure === 'short'), ...rubbed];
  },
});
