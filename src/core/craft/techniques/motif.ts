import * as z from 'zod/mini';
import { Id } from '../../model/primitives';
import { Region, regionKindOf } from '../../regions';
import { paths } from '../../regions/paths';
import { onPart } from '../../regions/handle';
import { onNail, placeOf } from '../context';
import { coatOf } from '../cure';
import { flashOf, hardenOf } from '../drafts';
import { lampOf } from '../families';
import { HAND_S } from '../handwork';
import type { Draft } from '../operation';
import {
  defineTechnique,
  FILM_SEAT,
  FILM_SEATS,
  fitField,
  FRESH_PAINTED,
  FRESH_SEAT,
  HAND_FIELD,
  PAINTED_BASE,
  seatField,
  WITHIN_FIELDS,
  type PickProduct,
} from '../technique';

const MOST_COLOURS = 8;
/** The brush wiped clean and charged with another colour (common practice). */
const CHANGE_S = 8;

const Part = z.strictObject({ product: Id, region: Region });
const schema = z.strictObject({
  ...PAINTED_BASE,
  ...FILM_SEAT,
  kind: z.literal('motif'),
  /** In the order in which they are drawn. */
  colours: z.array(Part).check(z.minLength(1), z.maxLength(MOST_COLOURS)),
  /** Each colour before the next, or all at once with a flash between. */
  cure: z.enum(['each', 'all']),
});
type Motif = z.infer<typeof schema>;

const fresh = (id: string, pick: PickProduct): Motif => {
  const leaf = pick({ families: ['gel-colour'], shows: true });
  const stem = pick({ families: ['gel-colour'], shows: true, beside: leaf });
  const [first, ...leaves] = paths.fresh.paths;
  return {
    id,
    kind: 'motif',
    ...FRESH_PAINTED,
    ...FRESH_SEAT,
    colours: [
      { product: leaf, region: { kind: 'paths', paths: leaves } },
      { product: stem, region: { kind: 'paths', paths: [first!] } },
    ],
    cure: 'all',
  };
};

/** Strokes, shapes and dots in several colours, drawn in turn, that belong together. */
export const motif = defineTechnique({
  kind: 'motif',
  words: 'Motif',
  blurb: 'Strokes and shapes in several colours, drawn one after the other: a leaf, a bow, a face.',
  schema,
  ...FILM_SEATS,
  fields: [
    {
      kind: 'list',
      path: 'colours',
      words: 'Drawn in turn',
      part: 'colour',
      item: [
        {
          kind: 'product',
          path: 'product',
          words: 'Colour',
          families: ['gel-colour', 'liner-gel', 'art-gel', 'two-stage-colour'],
        },
        { kind: 'region', path: 'region', words: 'Drawn' },
      ],
      fresh: null,
      min: 1,
      max: MOST_COLOURS,
    },
    {
      kind: 'choice',
      path: 'cure',
      words: 'Cured',
      choices: [
        { value: 'all', words: 'At the end, a flash between' },
        { value: 'each', words: 'Each colour before the next' },
      ],
    },
    ...WITHIN_FIELDS,
    fitField('scale', 'keep', 'drop'),
    HAND_FIELD,
    seatField('usual', 'under', 'inside', 'surface'),
  ],
  fresh,
  handles: (element, context) => {
    const on = onNail(context, element);
    return element.colours.flatMap(({ region }, i) =>
      onPart(
        regionKindOf(region.kind)
          .handles(region, on)
          .map((handle) => ({
            ...handle,
            id: `colour-${i}-${handle.id}`,
            words: `${handle.words}, colour ${i + 1}`,
            ...(handle.of ? { of: `colour-${i}-${handle.of}` } : {}),
          })),
        (next) => ({
          ...element,
          colours: element.colours.map((one, k) => (k === i ? { ...one, region: next } : one)),
        }),
      ),
    );
  },
  products: (element) => element.colours.map(({ product }) => product),
  called: ({ colours }, nameOf) => `${nameOf(colours.at(-1)!.product)} motif`,
  plan: (element, context) => {
    const last = element.colours.length;
    return element.colours.flatMap((part, i): Draft[] => {
      const product = context.product(part.product);
      const place = placeOf(context, { ...element, region: part.region });
      const t_um = coatOf(product);
      const guide_s = regionKindOf(part.region.kind).drawn_s?.(part.region) ?? HAND_S.coat;
      const pass = i + 1;
      const drawn: Draft = {
        step: 'draw',
        pass,
        verb: 'draw',
        words: last > 1 ? `${product.name}, colour ${pass} of ${last}` : product.name,
        product: product.id,
        place,
        paint: { kind: 'product' },
        deposit: { kind: 'conformal', t_um },
        hand_s: guide_s + (i > 0 ? CHANGE_S : 0),
        reason: 'Pale before dark, what lies below before what lies over it.',
      };
      if (element.cure === 'all' && pass < last && lampOf(product))
        return [
          drawn,
          flashOf(
            product,
            t_um,
            place,
            'A few seconds, so that the next colour does not run into it.',
            'flash',
            pass,
          ),
        ];
      return [drawn, ...hardenOf(product, t_um, place, 'cure', pass)];
    });
  },
});
