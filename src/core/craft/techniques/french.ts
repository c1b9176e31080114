import * as z from 'zod/mini';
import { count, Id, mm } from '../../model/primitives';
import { Smile } from '../../model/smile';
import type { Place } from '../operation';
import { onNail, placeOf } from '../context';
import { ART_FAMILIES, artFilm } from '../artFilm';
import { coatOf } from '../cure';
import { coats, passesOf } from '../drafts';
import { onPart, smileHandles } from '../../regions/handle';
import { HAND_S } from '../handwork';
import { COVERED } from '../ways';
import {
  defineTechnique,
  FILM_SEAT,
  FILM_SEATS,
  fitField,
  FRESH_PAINTED,
  FRESH_SEAT,
  HAND_FIELD,
  PAINTED_BASE,
  numberField,
  seatField,
  smileFields,
  type PickProduct,
  twoColours,
} from '../technique';

const schema = z.strictObject({
  ...PAINTED_BASE,
  ...FILM_SEAT,
  kind: z.literal('french'),
  smile: Smile,
  product: Id,
  passes: z.union([z.literal('cover'), count(1, 5)]),
  liner: z.nullable(z.strictObject({ product: Id, width_mm: mm(0.1, 2) })),
});

const freshLiner = (pick: PickProduct) => ({
  product: pick({ families: ['liner-gel'], shows: true }),
  width_mm: 0.4,
});

/** Painted French: the tip beyond a smile line, with an optional thin liner along it. */
export const french = defineTechnique({
  kind: 'french',
  words: 'French',
  blurb: 'A painted tip beyond an even smile line; a thin liner hides an unclean edge.',
  schema,
  ...FILM_SEATS,
  fields: [
    { kind: 'product', path: 'product', words: 'Tip', families: ART_FAMILIES },
    ...smileFields(),
    {
      kind: 'optional',
      path: 'liner',
      words: 'Thin liner along it',
      fresh: (pick) => freshLiner(pick),
    },
    { kind: 'product', path: 'liner.product', words: 'Liner', families: ['liner-gel', 'gel-colour'] },
    numberField(schema, 'liner.width_mm', 'Liner width'),
    fitField('scale', 'keep', 'drop'),
    HAND_FIELD,
    seatField('usual', 'under', 'inside', 'surface'),
  ],
  fresh: (id, pick) => ({
    id,
    kind: 'french' as const,
    ...FRESH_PAINTED,
    ...FRESH_SEAT,
    smile: { rise_mm: 0, depth_mm: 2, tilt_mm: 0 },
    product: twoColours(pick)[1],
    passes: 'cover' as const,
    liner: freshLiner(pick),
  }),
  handles: (element, context) =>
    onPart(smileHandles(element.smile, onNail(context, element)), (smile) => ({ ...element, smile })),
  ways: COVERED,
  part: (element) => ({ ...element, region: { kind: 'tip', smile: element.smile } }),
  products: (element) => [element.product, ...(element.liner ? [element.liner.product] : [])],
  called: ({ product }, nameOf) => `${nameOf(product)} French`,
  plan: (element, context) => {
    const product = context.product(element.product);
    const tip: Place = placeOf(context, { ...element, region: { kind: 'tip', smile: element.smile } });
    const drafts = artFilm(
      product,
      {
        step: 'tip',
        cureStep: 'cure-tip',
        place: tip,
        paint: { kind: 'product' },
        passes: passesOf(product, element.passes),
        words: `French tip in ${product.name}`,
        drawn: true,
        hand_s: HAND_S.draw,
        reason: 'The smile line is painted from both sides to the middle, so that left and right stay even.',
      },
      context,
    );
    if (!element.liner) return drafts;
    const liner = context.product(element.liner.product);
    const band: Place = { ...tip, along_smile_mm: element.liner.width_mm };
    return [
      ...drafts,
      ...coats(liner, 1, 'liner', 'cure-liner', () => ({
        verb: 'draw',
        words: `Liner along the smile line in ${liner.name}`,
        place: band,
        paint: { kind: 'product' },
        deposit: { kind: 'conformal', t_um: coatOf(liner) },
        hand_s: 30,
        reason: 'A thin line sharpens the smile line and hides an unclean edge.',
      })),
    ];
  },
});
