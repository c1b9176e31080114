import * as z from 'zod/mini';
import { mostOf } from '../../model/extent';
import type { ProductFamily } from '../../model/product';
import { wayShare } from '../../geometry/frame';
import { rounded } from '../../model/rounded';
import { count, Id, share } from '../../model/primitives';
import { isMirrored, placeOf, sideOf, type NailContext } from '../context';
import { partHandles } from '../partHandles';
import { sideWords } from '../sides';
import { artFilm, workedInCoats } from '../artFilm';
import { coatOf, slowestOf } from '../cure';
import { type Handle } from '../../regions/handle';
import {
  defineTechnique,
  FILM_BASE,
  FILM_FIELDS,
  FILM_SEATS,
  FRESH_FILM,
  numberField,
  type PickProduct,
  twoColours,
} from '../technique';

/** What is brushed, dragged or beaded into each other. */
const BLENDED: readonly ProductFamily[] = [
  'gel-colour',
  'two-stage-colour',
  'builder-gel',
  'putty-gel',
  'acrylic',
  'dip',
];
const MOST_STOPS = 5;

/** How colours in coats are blended; what is built, beaded or dipped has a way of its own. All figures common practice. */
const HOW = {
  brush: {
    words: 'With a clean brush',
    called: 'Ombre',
    blurb: 'Blended wet with a clean brush.',
    reason: 'Colours laid side by side and brushed together while wet; a second pass evens and covers.',
    thin: 1,
    slow: 1,
  },
  sponge: {
    words: 'Dabbed with a sponge',
    called: 'Sponge ombre',
    blurb: 'The first colour whole, the next dabbed in with a sponge: a soft, grainy run.',
    reason: 'Dabbed, not dragged: the first over all of it, the next where it belongs and a little past it.',
    thin: 0.6,
    slow: 1.3,
    spills_mm: 1,
    dabbed: true,
  },
  mist: {
    words: 'Sprayed, in mist',
    called: 'Airbrush ombre',
    blurb: 'Thin colour in mist, in several passes: the softest run there is.',
    reason: 'From a hand’s width off, in thin passes; what is to stay clean beside it is masked.',
    thin: 0.5,
    slow: 0.8,
    spills_mm: 1.5,
    caution: 'Mist is breathed in: use extraction and a mask, and cover the skin around the nail.',
  },
} as const satisfies Record<string, Blending>;
interface Blending {
  words: string;
  called: string;
  blurb: string;
  reason: string;
  /** As a share of a brushed coat, and of its time. */
  thin: number;
  slow: number;
  /** Grainy where colours meet. */
  dabbed?: true;
  /** How far colour gets past its part. */
  spills_mm?: number;
  caution?: string;
}
const Stop = z.strictObject({ product: Id, at: share() });

const schema = z
  .strictObject({
    ...FILM_BASE,
    kind: z.literal('ombre'),
    /** From cuticle to tip, or from the left sidewall to the right. */
    direction: z.enum(['along', 'across']),
    stops: z.array(Stop).check(z.minLength(2), z.maxLength(MOST_STOPS)),
    passes: count(2, 3),
    /** Brushed together, dabbed on with a sponge, or sprayed on in mist. */
    how: z.enum(['brush', 'sponge', 'mist']),
  })
  .check(
    z.refine((element) => element.stops.every((stop, i, all) => i === 0 || stop.at >= all[i - 1]!.at), {
      path: ['stops'],
      message: 'must lie in rising order of "at"',
    }),
  );

type Ombre = z.infer<typeof schema>;

function fresh(id: string, pick: PickProduct, how: Ombre['how'], passes: number): Ombre {
  const [first, second] = twoColours(pick);
  return {
    id,
    kind: 'ombre',
    ...FRESH_FILM,
    direction: 'along',
    stops: [
      { product: first, at: 0.15 },
      { product: second, at: 0.85 },
    ],
    passes,
    how,
  };
}

/** Brush ombre: colours side by side, blended across and then lengthwise, cured, repeated until it covers. */
export const ombre = defineTechnique({
  kind: 'ombre',
  words: 'Ombre',
  blurb: 'Two or more colours that melt into each other, blended wet with a clean brush.',
  schema,
  // Up to version 15 it was always brushed.
  was: { 15: (options) => ('stops' in options ? { ...options, how: 'brush' } : options) },
  ...FILM_SEATS,
  fields: [
    {
      kind: 'list',
      path: 'stops',
      words: 'Colours in turn',
      part: 'stop',
      item: [
        { kind: 'product', path: 'product', words: 'Colour', families: BLENDED },
        numberField(Stop, 'at', 'Place'),
      ],
      fresh: null,
      min: 2,
      max: MOST_STOPS,
    },
    {
      kind: 'choice',
      path: 'direction',
      words: 'Runs',
      choices: [
        { value: 'along', words: 'Cuticle to tip' },
        { value: 'across', words: 'Side to side' },
      ],
    },
    {
      kind: 'choice',
      path: 'how',
      words: 'Blended',
      choices: Object.entries(HOW).map(([value, { words }]) => ({ value, words })),
    },
    {
      kind: 'choice',
      path: 'passes',
      words: 'Passes',
      choices: [
        { value: 2, words: 'Two' },
        { value: 3, words: 'Three' },
      ],
    },
    ...FILM_FIELDS,
  ],
  fresh: (id, pick) => fresh(id, pick, 'brush', 2),
  also: (['sponge', 'mist'] as const).map((how) => ({
    key: `${how}-ombre`,
    words: HOW[how].called,
    blurb: HOW[how].blurb,
    fresh: (id, pick) => fresh(id, pick, how, 3),
  })),
  handles: (element, context) => [
    ...element.stops.map((stop, i) => stopHandle(element, i, stop.at, context)),
    ...partHandles(element, context),
  ],
  ways: {
    bridge: ({ stops }, { product, words, at }) =>
      stops.length >= MOST_STOPS
        ? []
        : [{ words, options: { stops: [...stops, { product, at }].sort((x, y) => x.at - y.at) } }],
    // Evenly over what they span, or over the whole nail where that is not enough.
    'longer-fade': ({ stops }, { run_mm, least_mm }) => {
      const needed = (least_mm / run_mm) * 1.1;
      const spread = (from: number, to: number) =>
        stops.map((stop, i) => ({
          ...stop,
          at: rounded(from + ((to - from) * i) / (stops.length - 1), 3),
        }));
      const [first, last] = [stops[0]!.at, stops[stops.length - 1]!.at];
      const own = (last - first) / (stops.length - 1) >= needed;
      return [
        {
          words: own
            ? 'Lay the colours evenly between the first and the last'
            : 'Spread the colours over the nail',
          options: { stops: own ? spread(first, last) : spread(0.15, 0.85) },
        },
      ];
    },
    'more-passes': (element, { passes }) =>
      element.passes < 3 && passes <= 3 ? [{ words: 'Lay three passes', options: { passes: 3 } }] : [],
    'no-spill': ({ how }) =>
      how === 'brush' ? [] : [{ words: 'Blend it with a brush', options: { how: 'brush' as const } }],
    quicker: ({ passes }) => (passes > 2 ? [{ words: 'in two passes', options: { passes: 2 } }] : []),
  },
  products: (element) => element.stops.map((stop) => stop.product),
  called: ({ stops }, nameOf) => `${nameOf(stops[0]!.product)} to ${nameOf(stops.at(-1)!.product)} fade`,
  plan: (element, context) => {
    const products = element.stops.map((stop) => context.product(stop.product));
    const slowest = slowestOf(products);
    const how: Blending = HOW[workedInCoats(slowest) ? element.how : 'brush'];
    return artFilm(
      slowest,
      {
        step: 'blend',
        cureStep: 'cure',
        place: placeOf(context, element),
        paint: {
          kind: 'blend',
          direction: element.direction,
          stops: element.stops.map((stop) => ({ product: stop.product, at: stop.at })),
          mirror: isMirrored(context.name, element),
          ...(how.dabbed ? { dabbed: true as const } : {}),
        },
        passes: element.passes,
        t_um: mostOf(products.map(coatOf)) * how.thin,
        words: `${how.called} ${products.map((product) => product.name).join(' to ')} ${runWords(element, context)}`,
        manner: 'pass',
        hand_s: (25 + 12 * products.length) * how.slow,
        reason: how.reason,
        ...(how.spills_mm ? { spills_mm: how.spills_mm } : {}),
        ...(how.caution ? { caution: how.caution } : {}),
      },
      context,
    );
  },
});

/** Which way the colours follow each other on this nail. */
function runWords(element: Ombre, context: NailContext): string {
  if (element.direction === 'along') return 'from the cuticle to the tip';
  const side = sideOf(context, element);
  return `from the ${sideWords(-side, context.name)} to the ${sideWords(side, context.name)}`;
}

/** A colour of the fade on its axis; it never passes its neighbours. */
function stopHandle(element: Ombre, i: number, at: number, context: NailContext): Handle<Ombre> {
  const { frame } = context;
  const side = sideOf(context, element);
  const least = element.stops[i - 1]?.at ?? 0;
  const most = element.stops[i + 1]?.at ?? 1;
  const along = element.direction === 'along';
  const name = context.product(element.stops[i]!.product).name;
  return {
    id: `stop-${i}`,
    words: name,
    at: along
      ? { x: 0, y: at * frame.length_mm }
      : { x: side * (at - 0.5) * frame.arc_mm, y: frame.bed_mm * 0.7 },
    says: `${name} at ${Math.round(at * 100)} %`,
    move: ({ x, y }) => {
      const at = wayShare(frame, element.direction, side)(x, y);
      const next = Math.max(least, Math.min(most, rounded(at, 3)));
      return { ...element, stops: element.stops.map((stop, k) => (k === i ? { ...stop, at: next } : stop)) };
    },
  };
}
