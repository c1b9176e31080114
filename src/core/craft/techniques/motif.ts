import * as z from 'zod/mini';
import { Id } from '../../model/primitives';
import { regionKindOf } from '../../regions';
import { paths } from '../../regions/paths';
import { bodyHandles, onPart, type Handle } from '../../regions/handle';
import { chance, seedOf } from '../../model/chance';
import { limitsOf } from '../../model/limits';
import { rounded } from '../../model/rounded';
import { onNail, placeOf, type NailContext } from '../context';
import { CURES, DRAWN_PART, MOST_COLOURS } from '../keptMotif';
import { partPlaceWords, partWords } from '../partWords';
import { PLACINGS, placedSpots, placedStrokes, Spot, spotsAlong } from '../placedStrokes';
import { coatOf } from '../cure';
import { broughtOn, spotsTowards } from '../broughtOn';
import { curedTogether } from '../curedTogether';
import { comeWithin } from '../touching';
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
  numberField,
  PAINTED_BASE,
  seatField,
  WITHIN_FIELDS,
  type PickProduct,
} from '../technique';

/** The brush wiped clean and charged with another colour (common practice). */
const CHANGE_S = 8;

const MOST_SPOTS = 24;
const Part = z.strictObject({ product: Id, ...DRAWN_PART });
const schema = z.strictObject({
  ...PAINTED_BASE,
  ...FILM_SEAT,
  kind: z.literal('motif'),
  /** In the order in which they are drawn. */
  colours: z.array(Part).check(z.minLength(1), z.maxLength(MOST_COLOURS)),
  /** Each colour before the next; those together that do not touch; or all at the end, with a flash where they do. */
  cure: z.enum(CURES),
  /** Where it is placed, once each; none: just as it was drawn. */
  spots: z.array(Spot).check(z.maxLength(MOST_SPOTS)),
  /** The one of the artist's own library that it was taken from. */
  kept: z.nullable(Id),
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
    spots: [],
    kept: null,
  };
};

/** Strokes, shapes and dots in several colours, drawn in turn, that belong together. */
export const motif = defineTechnique({
  kind: 'motif',
  words: 'Motif',
  blurb: 'Strokes and shapes in several colours, drawn one after the other: a leaf, a bow, a face.',
  schema,
  // Up to version 15 it lay once, where it was drawn.
  was: {
    15: (options) =>
      'colours' in options && 'cure' in options ? { ...options, spots: [], kept: null } : options,
  },
  ...FILM_SEATS,
  fields: [
    {
      kind: 'list',
      path: 'colours',
      words: 'Drawn in turn',
      part: 'colour',
      item: [
        { kind: 'words', path: 'name', words: 'What it is', hint: 'petals, stem' },
        {
          kind: 'product',
          path: 'product',
          words: 'Colour',
          families: ['gel-colour', 'liner-gel', 'art-gel', 'two-stage-colour'],
        },
        { ...numberField(Part, 'passes', 'Passes'), absent: 1 },
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
    {
      kind: 'list',
      path: 'spots',
      words: 'Placed',
      part: 'spot',
      item: [
        numberField(Spot, 'size', 'Size'),
        numberField(Spot, 'turn_deg', 'Turn'),
        { kind: 'switch', path: 'mirrored', words: 'Turned over' },
        numberField(Spot, 'across', 'Across'),
        numberField(Spot, 'along', 'Along'),
      ],
      fresh: { across: 0, along: 0.85, size: 0.5, turn_deg: 0, mirrored: false } satisfies Spot,
      min: 0,
      max: MOST_SPOTS,
    },
    ...WITHIN_FIELDS,
    fitField('scale', 'keep', 'drop'),
    HAND_FIELD,
    seatField('usual', 'plate', 'under', 'inside', 'surface'),
  ],
  fresh,
  also: [...MOTIFS.map((one) => ({ ...one, colours: one.colours.map(motifRegion) })), ...PATTERNS].map(
    ({ key, words, blurb, colours, names }) => ({
      key,
      words,
      blurb,
      fresh: (id, pick) => {
        const first = pick({ families: ['gel-colour'], shows: true });
        const second = pick({ families: ['gel-colour'], shows: true, beside: first });
        const third = pick({ families: ['liner-gel'], shows: true });
        return {
          ...fresh(id, pick),
          colours: colours.map((region, i) => ({
            product: [first, second, third][i] ?? third,
            region,
            ...(names[i] === undefined ? {} : { name: names[i] }),
          })),
        };
      },
    }),
  ),
  ways: {
    'more-passes': ({ colours }, { passes, product }) => [
      {
        words: `Draw it in ${passes} thin passes`,
        options: {
          colours: colours.map((one) =>
            one.product === product ? { ...one, passes: Math.min(MOST_PASSES, passes) } : one,
          ),
        },
      },
    ],
    'onto-the-nail': ({ colours, spots }) =>
      spots.length > 0
        ? []
        : (['towards', 'cut'] as const).map((how) => ({
            words: how === 'cut' ? 'Cut it at the edge of the nail' : 'Draw all of it nearer to the middle',
            options: { colours: broughtOn(colours, how) },
          })),
    'nearer-middle': ({ spots }) =>
      spots.length === 0
        ? []
        : [
            {
              words: 'Place it nearer to the middle',
              options: {
                spots: spotsTowards(spots),
              },
            },
          ],
    smaller: ({ spots }, { share }) =>
      spots.length === 0
        ? []
        : [
            {
              words: 'Place it smaller',
              options: {
                spots: spots.map((one) => ({
                  ...one,
                  size: Math.max(SIZE.min, rounded(one.size * share, 2)),
                })),
              },
            },
          ],
  },
  copies: { path: 'spots', part: 'spot', most: MOST_SPOTS },
  arrangements: PLACINGS.map(({ key, words, says, spots }) => ({
    key,
    words,
    says,
    lay: (element: Motif): Motif => ({
      ...element,
      spots: spots(chance(seedOf(element.spots)).next),
    }),
  })),
  drawn: [
    {
      words: 'Place it along a line',
      says: 'A line drawn on the nail: it is placed along it, evenly, turned as the line runs',
      lay: (element, context, line) =>
        line.length < 2 ? element : { ...element, spots: spotsAlong(line, onNail(context, element)) },
    },
  ],
  library: {
    keep: ({ cure, colours }, id, name, product) => ({
      id,
      name,
      cure,
      colours: colours.map((one) => ({ ...one, product: product(one.product) })),
    }),
    taken: ({ kept }) => kept ?? undefined,
    take: (kept, element) => ({
      ...element,
      cure: kept.cure,
      kept: kept.id,
      colours: kept.colours.map((one) => ({ ...one, product: one.product.id })),
    }),
  },
  handles: (element, context) => {
    const on = onNail(context, element);
    if (element.spots.length > 0) return spotHandles(element, context);
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
    const placed = placedStrokes(
      element.colours.map(({ region }) => region),
      element.spots,
      context.frame,
    );
    const spots = placedSpots(element.spots, context.frame);
    const parts = element.colours.flatMap((part, i) => {
      const region = placed[i];
      // No spot of it lies on so small a nail.
      if (!region) return [];
      const product = context.product(part.product);
      const place = placeOf(context, { ...element, region });
      const guide_s = regionKindOf(region.kind).drawn_s?.(region) ?? HAND_S.coat;
      const where = partPlaceWords({ place, drawn: part.region, spots }, context);
      return [{ ...part, product, place, where, guide_s, hand_s: guide_s + (i > 0 ? CHANGE_S : 0) }];
    });
    const last = parts.length;
    /** Drawn since the last light: it holds its place no longer than a film does, and only what does not touch it. */
    let wet: typeof parts = [];
    /** Drawn since the last cure; some of it flashed. */
    let uncured: typeof parts = [];
    return parts.flatMap((part, i): Draft[] => {
      const { product, place, where, passes = 1 } = part;
      const pass = i + 1;
      const next = parts[i + 1];
      const words = `${partWords(part.name, product.name)}${last > 1 ? `, colour ${pass} of ${last}` : ''}`;
      const drawn = Array.from({ length: passes }, (_, k): Draft[] => [
        {
          step: k === 0 ? 'draw' : `draw-${k + 1}`,
          pass,
          verb: 'draw',
          words: passes > 1 ? `${words}, pass ${k + 1} of ${passes}` : words,
          where,
          product: product.id,
          place,
          paint: { kind: 'product' },
          deposit: { kind: 'conformal', t_um: coatOf(product) },
          hand_s: k === 0 ? part.hand_s : part.guide_s,
          reason: 'What lies below is drawn before what lies over it.',
        },
        // It is drawn over itself; the last pass has its light with whatever is wet beside it.
        ...(k + 1 < passes ? hardenOf(product, coatOf(product), place, `cure-${k + 1}`, pass) : []),
      ]).flat();
      wet.push(part);
      uncured.push(part);
      // What is drawn in several passes is cured between them, and so would be all that is wet.
      const once = next !== undefined && (next.passes ?? 1) === 1;
      if (element.cure !== 'each' && once && lampOf(product) && lampOf(next.product)) {
        const worked_s = wet.reduce((sum, one) => sum + one.hand_s, next.hand_s);
        const runs = wet.some((one) => comeWithin(context.frame, one.place, next.place, RUNS_MM));
        if (worked_s <= HOLDS_S && !runs) return drawn;
        if (element.cure === 'all') {
          wet = [];
          return [...drawn, flashOf(product, coatOf(product), place, NO_RUN, 'flash', pass)];
        }
      }
      // One light for all of them: as long as the slowest asks.
      const light = curedTogether(uncured, place, pass, context.frame);
      wet = [];
      uncured = [];
      return [...drawn, ...light];
    });
  },
});

/** Each place is moved by its middle; its end turns it and makes it larger. */
function spotHandles(element: Motif, context: NailContext): Handle<Motif>[] {
  const on = onNail(context, element);
  const put = (i: number, spot: Partial<Spot>): Motif => ({
    ...element,
    spots: element.spots.map((one, k) => (k === i ? { ...one, ...spot } : one)),
  });
  return element.spots.flatMap((spot, i) =>
    onPart(
      bodyHandles(
        {
          ...spot,
          id: `spot-${i}`,
          words: `place ${i + 1}`,
          width_mm: spot.size * DRAWN_MM,
          length_mm: spot.size * DRAWN_MM,
          scale: 1,
          least_mm: SIZE.min * DRAWN_MM,
          most_mm: [SIZE.max * DRAWN_MM, SIZE.max * DRAWN_MM],
        },
        on,
      ).filter(({ id }) => !id.endsWith('-side')),
      ({ across, along, turn_deg, length_mm }) =>
        put(i, { across, along, turn_deg, size: rounded(length_mm / DRAWN_MM, 2) }),
    ),
  );
}
/** What a drawing on the large nail is high, near enough to be taken hold of by. */
const DRAWN_MM = 8;
const SIZE = limitsOf(Spot, 'size');
const MOST_PASSES = limitsOf(Part, 'passes').max;

const NO_RUN = 'A few seconds, so that the next colour does not run into it.';
/** Colours this near to each other run together while both are wet (common practice). */
const RUNS_MM = 0.2;
/** Lines drawn wet beside each other wait no longer than this for their light (common practice). */
const HOLDS_S = 100;
