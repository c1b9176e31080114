import * as z from 'zod/mini';
import type { NailName } from '../../model/names';
import { Across, Along, Id, mm, Words, count, seconds, Turn } from '../../model/primitives';
import { rounded } from '../../model/rounded';
import { onNail, placeOf, scaleOn, sideOf, spotOn_mm, type NailContext } from '../context';
import { coatOf } from '../cure';
import { cureOf, flashOf } from '../drafts';
import { onPart, turnedSpotHandles } from '../../regions/handle';
import { HAND_S } from '../handwork';
import { recalledFigures } from '../recalled';
import { partHandles } from '../partHandles';
import { type Draft, type Place } from '../operation';
import { MagnetPull, type SupplyOf } from '../../model/supply';
import { PULL_FIELDS, REACH_MM } from '../magnets';
import { SHIMMER_FORMS, type Shimmer } from '../matter';
import { sideWords } from '../sides';
import { defineTechnique, FILM_BASE, FILM_FIELDS, FILM_SEATS, FRESH_FILM, numberField } from '../technique';

const schema = z.strictObject({
  ...FILM_BASE,
  kind: z.literal('magnetic'),
  product: Id,
  passes: count(1, 3),
  /** Which coats the magnet is held to. */
  drawn: z.enum(['last', 'every']),
  /** The magnet as the artist calls it. */
  magnet: Words,
  form: z.enum(SHIMMER_FORMS),
  across: Across,
  along: Along,
  turn_deg: Turn,
  /** How wide the shimmer is left. */
  width_mm: mm(0.3, 20),
  /** How far off the nail the magnet is held, and for how long. */
  distance_mm: mm(0, 20, 0.5),
  hold_s: seconds(1, 60),
  /** What the magnet is and how strong, where that is known. */
  pull: z.optional(z.nullable(MagnetPull)),
});
type Magnetic = z.infer<typeof schema>;

/**
 * Magnetic gel whose shimmer a magnet moves while it is wet. A good one is not found twice from memory: magnet, place,
 * angle, distance and seconds are its recipe.
 */
export const magnetic = defineTechnique({
  kind: 'magnetic',
  words: 'Cat-eye',
  blurb: 'Magnetic gel: a magnet draws its shimmer to where it is wanted, nail by nail.',
  schema,
  ...FILM_SEATS,
  fields: [
    { kind: 'product', path: 'product', words: 'Magnetic gel', families: ['magnetic-gel'] },
    {
      kind: 'choice',
      path: 'form',
      words: 'Shimmer',
      choices: [
        { value: 'line', words: 'In a line' },
        { value: 'round', words: 'In a round' },
        { value: 'sides', words: 'Out to the sides' },
      ],
    },
    numberField(schema, 'width_mm', 'How wide'),
    { ...numberField(schema, 'turn_deg', 'Turn'), where: { path: 'form', is: ['line'] } },
    numberField(schema, 'distance_mm', 'Magnet off'),
    numberField(schema, 'hold_s', 'Held'),
    ...PULL_FIELDS,
    numberField(schema, 'passes', 'Coats'),
    {
      kind: 'choice',
      path: 'drawn',
      words: 'Magnet to',
      choices: [
        { value: 'last', words: 'The last coat' },
        { value: 'every', words: 'Every coat' },
      ],
    },
    ...FILM_FIELDS,
  ],
  fresh: (id, pick) => ({
    id,
    kind: 'magnetic' as const,
    ...FRESH_FILM,
    product: pick({ families: ['magnetic-gel'] }),
    passes: 1,
    drawn: 'last' as const,
    magnet: 'Bar magnet',
    form: 'line' as const,
    across: 0,
    along: 0.8,
    turn_deg: 25,
    width_mm: 2.5,
    distance_mm: 4,
    hold_s: 8,
  }),
  handles: (element, context) => [
    ...partHandles(element, context),
    ...onPart(
      turnedSpotHandles(element, { id: 'shimmer', words: 'shimmer' }, onNail(context, element)),
      (spot) => ({ ...element, ...spot }),
      // What is round has no turn.
    ).filter((handle) => element.form === 'line' || !handle.of),
  ],
  fromShelf: {
    kind: 'tool',
    fits: (supply) => supply.kind === 'tool' && supply.use === 'magnet',
    take: (element, supply) => (supply.kind === 'tool' ? takenUp(element, supply) : element),
  },
  ways: {
    'nearer-magnet': ({ distance_mm }, { reach_mm }) =>
      distance_mm > reach_mm
        ? [{ words: `Hold it ${reach_mm} mm off`, options: { distance_mm: reach_mm } }]
        : [],
    'held-shorter': ({ hold_s }, { longest_s }) =>
      hold_s > longest_s ? [{ words: `Hold it for ${longest_s} s`, options: { hold_s: longest_s } }] : [],
  },
  recalled: {
    step: 'magnet',
    figures: (element) =>
      recalledFigures(schema, element, {
        across: 'Across, of half the width:',
        along: 'Along, of the bed:',
        ...(element.form === 'line' ? { turn_deg: 'Turned' } : {}),
        distance_mm: 'Off the nail',
        hold_s: 'Held',
      }),
  },
  products: (element) => [element.product],
  called: ({ product }, nameOf) => `${nameOf(product)} cat-eye`,
  plan: (element, context) => {
    const product = context.product(element.product);
    const place = placeOf(context, element);
    const t_um = coatOf(product);
    const shimmer = shimmerOn(element, context);
    const draft = (pass: number): Omit<Draft, 'step' | 'pass' | 'product'> => ({
      verb: 'coat',
      words:
        element.passes === 1
          ? `${product.name}, a thin coat`
          : `${product.name}, coat ${pass} of ${element.passes}`,
      place,
      paint: shimmer,
      deposit: { kind: 'conformal', t_um },
      hand_s: HAND_S.coat,
      reason: 'Thin: in a thick coat the shimmer sinks and cannot be drawn.',
    });
    return Array.from({ length: element.passes }, (_, i) => i + 1).flatMap((pass): Draft[] => {
      const drawn = element.drawn === 'every' || pass === element.passes;
      return [
        { step: 'coat', pass, product: product.id, ...draft(pass) },
        ...(drawn ? [{ ...magnetDraft(element, place, shimmer, context.name), pass }] : []),
        { ...flashOf(product, t_um, place, drawn ? BEFORE_IT_WANDERS : NOT_YET, 'flash', pass), held: true },
        cureOf(product, t_um, place, 'cure', pass),
      ];
    });
  },
});

/** The artist's own magnet, with what is known of it. */
function takenUp(element: Magnetic, { name, pull }: SupplyOf<'tool'>): Magnetic {
  return { ...element, magnet: name, ...(pull === undefined ? {} : { pull }) };
}

const BEFORE_IT_WANDERS = 'Flashed at once, before the shimmer wanders.';
const NOT_YET = 'Flashed at once, so that no magnet at the next nail moves it.';

function magnetDraft(element: Magnetic, place: Place, shimmer: Shimmer, nail: NailName): Draft {
  return {
    step: 'magnet',
    verb: 'magnet',
    words: magnetWords(element, shimmer, nail),
    place,
    hand_s: element.hold_s * (element.form === 'sides' ? 2 : 1),
    ...(element.pull
      ? { pulls: { from_mm: element.distance_mm, reach_mm: REACH_MM[element.pull.strength] } }
      : {}),
    fixed_s: element.hold_s * (element.form === 'sides' ? 2 : 1),
    held: true,
    reason: 'The shimmer goes where the magnet holds it, and wanders from the moment it is gone.',
  };
}

/** The shimmer as it lies on this nail. */
function shimmerOn(element: Magnetic, context: NailContext): Shimmer {
  const at = spotOn_mm(element, context, element);
  return {
    kind: 'shimmer',
    form: element.form,
    x_mm: rounded(at.x),
    y_mm: rounded(at.y),
    turn_deg: sideOf(context, element) * element.turn_deg,
    width_mm: element.width_mm * scaleOn(context.frame, element),
  };
}

/** The recipe in one line: which magnet, over what, how far off, how long. */
function magnetWords(
  { magnet, form, distance_mm, hold_s, across, along }: Magnetic,
  { x_mm, turn_deg }: Shimmer,
  nail: NailName,
): string {
  const off = distance_mm > 0 ? `${distance_mm} mm off the nail` : 'as near as it goes';
  if (form === 'sides') return `${magnet} held beside one sidewall, then the other, ${off}, ${hold_s} s each`;
  const lies = form === 'line' ? `, ${turnWords(turn_deg, nail)}` : '';
  return `${magnet} held over ${spotWords(across, along, sideWords(x_mm, nail))}${lies}, ${off}, ${hold_s} s`;
}

function spotWords(across: number, along: number, side: string): string {
  const height = HEIGHTS.find(([upTo]) => along <= upTo)![1];
  const off = Math.abs(across);
  const where = off < 0.12 ? 'the middle' : off < 0.5 ? `beside the middle, to the ${side}` : `the ${side}`;
  return `${where}, ${height}`;
}

/** Landmarks a hand finds without a rule. */
const HEIGHTS: readonly (readonly [number, string])[] = [
  [0.25, 'at the cuticle'],
  [0.6, 'half-way up the bed'],
  [0.9, 'high on the bed'],
  [1.2, 'where the free edge begins'],
  [1.7, 'half-way up the free edge'],
  [Infinity, 'at the tip'],
];

function turnWords(turn_deg: number, nail: NailName): string {
  // A bar has no head: half a turn is none.
  const turn = ((((Math.round(turn_deg) + 90) % 180) + 180) % 180) - 90;
  if (Math.abs(turn) < 3) return 'along the nail';
  if (Math.abs(turn) > 87) return 'across the nail';
  return `turned ${Math.abs(turn)}°, its tip end to the ${sideWords(-turn, nail)}`;
}
