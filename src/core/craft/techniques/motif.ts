import * as z from 'zod/mini';
import { Id } from '../../model/primitives';
import { Region, regionKindOf } from '../../regions';
import { paths } from '../../regions/paths';
import { onPart } from '../../regions/handle';
import { onNail, placeOf } from '../context';
import { areaOf } from '../area';
import { coatOf, slowestOf } from '../cure';
import type { Area } from '../../geometry/regions';
import { flashOf, hardenOf } from '../drafts';
import { lampOf } from '../families';
import { HAND_S } from '../handwork';
import { motifRegion, MOTIFS, PATTERNS } from '../motifs';
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
  /** Each colour before the next; those together that do not touch; or all at the end, with a flash where they do. */
  cure: z.enum(['each', 'groups', 'all']),
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
        { value: 'groups', words: 'Those together that do not touch' },
      ],
    },
    ...WITHIN_FIELDS,
    fitField('scale', 'keep', 'drop'),
    HAND_FIELD,
    seatField('usual', 'under', 'inside', 'surface'),
  ],
  fresh,
  also: [...MOTIFS.map((one) => ({ ...one, colours: one.colours.map(motifRegion) })), ...PATTERNS].map(
    ({ key, words, blurb, colours }) => ({
      key,
      words,
      blurb,
      fresh: (id, pick) => {
        const first = pick({ families: ['gel-colour'], shows: true });
        const second = pick({ families: ['gel-colour'], shows: true, beside: first });
        const third = pick({ families: ['liner-gel'], shows: true });
        return {
          ...fresh(id, pick),
          colours: colours.map((region, i) => ({ product: [first, second, third][i] ?? third, region })),
        };
      },
    }),
  ),
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
    const parts = element.colours.map((part, i) => {
      const product = context.product(part.product);
      const place = placeOf(context, { ...element, region: part.region });
      const guide_s = regionKindOf(part.region.kind).drawn_s?.(part.region) ?? HAND_S.coat;
      return { product, place, hand_s: guide_s + (i > 0 ? CHANGE_S : 0), area: areaOf(context.frame, place) };
    });
    /** Drawn since the last light: it holds its place no longer than a film does, and only what does not touch it. */
    let wet: typeof parts = [];
    return parts.flatMap((part, i): Draft[] => {
      const { product, place } = part;
      const pass = i + 1;
      const next = parts[i + 1];
      wet.push(part);
      const drawn: Draft = {
        step: 'draw',
        pass,
        verb: 'draw',
        words: last > 1 ? `${product.name}, colour ${pass} of ${last}` : product.name,
        product: product.id,
        place,
        paint: { kind: 'product' },
        deposit: { kind: 'conformal', t_um: coatOf(product) },
        hand_s: part.hand_s,
        reason: 'Pale before dark, what lies below before what lies over it.',
      };
      if (element.cure !== 'each' && next && lampOf(product) && lampOf(next.product)) {
        const worked_s = wet.reduce((sum, one) => sum + one.hand_s, next.hand_s);
        if (worked_s <= HOLDS_S && !wet.some((one) => touch(one.area, next.area))) return [drawn];
        if (element.cure === 'all') {
          wet = [];
          return [drawn, flashOf(product, coatOf(product), place, NO_RUN, 'flash', pass)];
        }
      }
      // One light for all of them: as long as the slowest asks.
      const slowest = slowestOf(wet.map((one) => one.product));
      wet = [];
      return [drawn, ...hardenOf(slowest, coatOf(slowest), place, 'cure', pass)];
    });
  },
});

const NO_RUN = 'A few seconds, so that the next colour does not run into it.';
/** Colours this near to each other run together while both are wet (common practice). */
const RUNS_MM = 0.2;
/** Lines drawn wet beside each other wait no longer than this for their light (common practice). */
const HOLDS_S = 100;

function touch(a: Area, b: Area): boolean {
  const reaches = (from: Area, into: Area) =>
    from.polygons.some((polygon) => polygon.some(({ x, y }) => into.distance_mm(x, y) > -RUNS_MM));
  return reaches(a, b) || reaches(b, a);
}
