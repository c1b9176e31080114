import * as z from 'zod/mini';
import { regionNoun } from '../../regions';
import type { ProductFamily } from '../../model/product';
import { limitsOf } from '../../model/limits';
import { Id, um } from '../../model/primitives';
import { artFilm } from '../artFilm';
import { placeOf } from '../context';
import { HAND_S } from '../handwork';
import { partHandles } from '../partHandles';
import { defineTechnique, FILM_BASE, FILM_FIELDS, FILM_SEATS, FRESH_FILM, numberField } from '../technique';

/** What may be laid thick: all else stays soft below, or shrinks into wrinkles. */
const LAID_THICK: readonly ProductFamily[] = ['builder-gel', 'bedding-gel', 'putty-gel', 'acrylic'];

const schema = z.strictObject({
  ...FILM_BASE,
  kind: z.literal('poured'),
  product: Id,
  /** Poured to a level that fills what lies below; or a bead, fullest at the apex of the nail. */
  form: z.enum(['level', 'bead']),
  /** At its fullest. */
  t_um: um(100, 2000, 10),
});

const T_UM = limitsOf(schema, 't_um');

const FORMS = {
  level: {
    words: 'poured level',
    reason: 'As much as it takes: it fills what lies below and levels itself.',
  },
  bead: {
    words: 'in one bead, fullest at the apex',
    reason: 'Set down where it is to be fullest, and drawn out to its edge; it rounds by itself.',
  },
} as const;

/** Clear or colour laid thick over a part of the nail or all of it: depth, and not strength, is what it is for. */
export const poured = defineTechnique({
  kind: 'poured',
  words: 'Poured',
  blurb: 'Clear or colour laid thick: levelled over what lies below, or rounded like glass.',
  schema,
  // Up to version 14 there was none.
  was: { 14: (options) => options },
  ...FILM_SEATS,
  fields: [
    { kind: 'product', path: 'product', words: 'Of', families: LAID_THICK },
    {
      kind: 'choice',
      path: 'form',
      words: 'Laid',
      choices: [
        { value: 'level', words: 'Poured level' },
        { value: 'bead', words: 'In a bead' },
      ],
    },
    numberField(schema, 't_um', 'At its fullest'),
    ...FILM_FIELDS,
  ],
  fresh: (id, pick) => ({
    id,
    kind: 'poured' as const,
    ...FRESH_FILM,
    product: pick({ families: LAID_THICK }),
    form: 'bead' as const,
    t_um: 500,
  }),
  handles: partHandles,
  ways: {
    'cures-through': ({ t_um }) =>
      [0.7, 0.5, 0.3]
        .map((share) => Math.max(T_UM.min, Math.round((t_um * share) / T_UM.step) * T_UM.step))
        .filter((thinner_um) => thinner_um < t_um)
        .map((thinner_um) => ({
          words: `Lay it ${thinner_um} µm at its fullest`,
          options: { t_um: thinner_um },
        })),
  },
  products: (element) => [element.product],
  called: ({ product, region, form }, nameOf) =>
    [form === 'bead' ? `bead of ${nameOf(product)}` : `${nameOf(product)} poured`, regionNoun(region)]
      .join(' ')
      .trim(),
  plan: (element, context) => {
    const product = context.product(element.product);
    const { words, reason } = FORMS[element.form];
    const level = element.form === 'level';
    return artFilm(
      product,
      {
        step: 'pour',
        cureStep: 'cure',
        place: placeOf(context, element),
        paint: { kind: 'product' },
        thick: { t_um: element.t_um, level, words },
        ...(level ? {} : { profile: { kind: 'bead' as const } }),
        passes: 1,
        words: product.name,
        hand_s: HAND_S.bead * 3,
        reason,
      },
      context,
    );
  },
});
