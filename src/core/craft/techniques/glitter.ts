import * as z from 'zod/mini';
import type { Grains } from '../matter';
import { seedOf } from '../../model/chance';
import { GRAIN_SHAPES } from '../../model/grains';
import { Colour, count, mm, um } from '../../model/primitives';
import { isMirrored, placeOf, type NailContext } from '../context';
import { coatOf } from '../cure';
import { hardenOf, ownTack } from '../drafts';
import { Fade, FADE_FIELDS, fadeHandles, fadeOn, fadesTo, FRESH_FADE } from '../fadeOut';
import { grainFields } from '../grainFields';
import { HAND_S } from '../handwork';
import { partHandles } from '../partHandles';
import type { Draft } from '../operation';
import {
  defineTechnique,
  FILM_BASE,
  FILM_FIELDS,
  FILM_SEATS,
  FRESH_FILM,
  numberField,
  TACK_FIELD,
} from '../technique';
import { OWN_TACK, type Ways } from '../ways';

const MOST_COVER_UM = 1500;

const schema = z.strictObject({
  ...FILM_BASE,
  kind: z.literal('glitter'),
  shape: z.enum(GRAIN_SHAPES),
  size_mm: mm(0.03, 4, 0.05),
  thickness_um: um(3, 2000, 5),
  colour: Colour,
  metallic: z.boolean(),
  /** Grains to a cm² where they lie thickest. */
  per_cm2: count(0, 10000),
  /** Thinning out to none; null: as thick everywhere. */
  fade: z.nullable(Fade),
  /** Patted on a sticky layer of their own; otherwise on that of what lies below. */
  tack: z.boolean(),
  /** Dabbed into the wet bed of the pieces it is listed with. */
  in_bed: z.optional(z.boolean()),
  /** Clear laid over them, so that nothing is felt; 0 leaves them open. */
  cover_um: um(0, MOST_COVER_UM),
});
type Glitter = z.infer<typeof schema>;

/** Past this the nail is patted over a second time, for what the first left bare: it goes quicker (common practice). */
const DENSE_PER_CM2 = 1500;
const SECOND_PAT = 0.5;

/** Grains that any clear levels (common practice). */
const FINE_MM = 0.4;
const FINE_UM = 30;

const ways: Ways<Glitter> = {
  ...OWN_TACK,
  'thicker-clear': (_element, { cap_um }) =>
    cap_um > MOST_COVER_UM
      ? []
      : [{ words: `Lay ${cap_um} µm of clear over the grains`, options: { cover_um: cap_um } }],
  'finer-grains': ({ size_mm, thickness_um }) =>
    size_mm <= FINE_MM && thickness_um <= FINE_UM
      ? []
      : [
          {
            words: `Take grains of ${FINE_MM} mm`,
            options: { size_mm: Math.min(size_mm, FINE_MM), thickness_um: Math.min(thickness_um, FINE_UM) },
          },
        ],
  'less-clear': ({ cover_um }) =>
    cover_um === 0 ? [] : [{ words: 'Lay no clear over the beads but the top', options: { cover_um: 0 } }],
};

/** Loose glitter, beads and the like, strewn over a part of the nail: patted on tack, the rest brushed off, covered. */
export const glitter = defineTechnique({
  kind: 'glitter',
  words: 'Loose glitter',
  blurb: 'Grains patted on tack, from full to sparse: glitter, hexagons, micro-beads, sugar.',
  schema,
  ...FILM_SEATS,
  usual: ({ in_bed }) => (in_bed ? 'inside' : 'listed'),
  joinsBed: ({ in_bed }) => in_bed === true,
  fields: [
    ...grainFields(schema),
    numberField(schema, 'thickness_um', 'Thickness'),
    numberField(schema, 'per_cm2', 'To a cm², at most'),
    {
      kind: 'optional',
      path: 'fade',
      words: 'Thinning out to none',
      fresh: () => FRESH_FADE,
    },
    ...FADE_FIELDS,
    numberField(schema, 'cover_um', 'Clear over them'),
    { ...TACK_FIELD, where: { path: 'in_bed', is: [false] } },
    { kind: 'switch', path: 'in_bed', words: 'Into the wet bed of the pieces' },
    ...FILM_FIELDS,
  ],
  fresh: (id) => ({
    id,
    kind: 'glitter' as const,
    ...FRESH_FILM,
    shape: 'hexagon' as const,
    size_mm: 0.3,
    thickness_um: 30,
    colour: '#d9b45b',
    metallic: true,
    per_cm2: 900,
    fade: FRESH_FADE,
    cover_um: 120,
    tack: false,
    in_bed: false,
  }),
  handles: (element, context) => [...fadeHandles(element, context), ...partHandles(element, context)],
  ways,
  glints: ({ metallic }) => metallic,
  products: () => [],
  called: ({ shape, size_mm }) => NAMES[shape](size_mm),
  plan: (element, context) => {
    const place = placeOf(context, element);
    const grains = grainsOf(element, context);
    const clear = context.role('builder');
    const strewn: Draft[] = [
      ...(element.tack && !element.in_bed ? ownTack(context, place, grains.words) : []),
      {
        step: 'strew',
        verb: 'strew',
        words: `${element.in_bed ? `Dab ${grains.words} into the wet bed` : `Pat ${grains.words} on`}${element.fade ? `, thinning out ${fadesTo(element.fade, element, context)}` : ''}`,
        place,
        deposit: {
          kind: 'grains',
          grains,
          ...(element.fade ? { profile: fadeOn(element, element.fade, context) } : {}),
        },
        hand_s: HAND_S.strew * (element.per_cm2 > DENSE_PER_CM2 ? 1 + SECOND_PAT : 1),
        reason: element.in_bed
          ? 'While the bed is wet it takes them with the pieces: one bed, one light.'
          : 'Pressed into the tack, not rubbed: what falls on other grains does not hold.',
      },
      {
        step: 'loose-off',
        verb: 'dust-off',
        words: `Brush the loose ${grains.words} off`,
        place,
        hand_s: HAND_S['dust-off'] * 4,
        held: true,
        reason: 'Before any wet coat: what is loose swims in it, and gets into its bottle.',
      },
    ];
    // In the bed, the cap of the pieces lies over it.
    if (element.cover_um === 0 || element.in_bed) return strewn;
    return [
      ...strewn,
      {
        step: 'cover',
        verb: 'cap',
        words: `Float a bead of ${clear.name} over the ${grains.words}, drawn on without the brush touching them`,
        product: clear.id,
        place,
        deposit: { kind: 'conformal', t_um: element.cover_um },
        hand_s: HAND_S.coat * (element.cover_um > coatOf(clear) ? 1.5 : 1),
        reason: 'Thick enough that no grain is felt; floated, for a dragged brush takes them along.',
      },
      ...hardenOf(clear, element.cover_um, place, 'cure-cover'),
    ];
  },
});

/** What grains of a shape are called, by their size. */
const NAMES: Record<Grains['shape'], (size_mm: number) => string> = {
  round: (size) => (size >= 0.3 ? 'micro-beads' : 'fine glitter'),
  hexagon: (size) => (size >= 0.5 ? 'hexagons' : 'hexagon glitter'),
  square: () => 'square glitter',
  sliver: () => 'slivers of glitter',
};

function grainsOf(element: Glitter, context: NailContext): Grains {
  const { shape, size_mm, thickness_um, colour, metallic, per_cm2 } = element;
  return {
    words: NAMES[shape](size_mm),
    shape,
    size_mm,
    thickness_um,
    colour,
    metallic,
    per_cm2,
    seed: seedOf({ id: element.id, shape, size_mm }) % 100_000,
    mirror: isMirrored(context.name, element),
  };
}
