import * as z from 'zod/mini';
import type { Profile } from '../../geometry/profiles';
import { count, Id, um } from '../../model/primitives';
import { regionKindOf, regionNoun } from '../../regions';
import { isMirrored, placeOf, type NailContext } from '../context';
import { flashOf, hardenOf, STICKY_OFF, wipeDraft } from '../drafts';
import { FAMILIES } from '../families';
import { HAND_S } from '../handwork';
import { partHandles } from '../partHandles';
import type { Draft, Place } from '../operation';
import {
  defineTechnique,
  fitField,
  FRESH_PAINTED,
  HAND_FIELD,
  numberField,
  PAINTED_BASE,
  REGION,
  REGION_FIELD,
  seatField,
  WITHIN_FIELDS,
} from '../technique';
import type { Ways } from '../ways';

const MOST_LAYERS = 4;

const schema = z.strictObject({
  ...PAINTED_BASE,
  ...REGION,
  kind: z.literal('relief'),
  seat: z.enum(['usual', 'surface', 'over']),
  product: Id,
  /** In its middle, all layers together. */
  height_um: um(60, 2500),
  layers: count(1, MOST_LAYERS),
  /** Clear powder sprinkled on while it is wet, and left open. */
  sugar: z.boolean(),
  /** Of several layers, which are sprinkled. */
  sugared: z.optional(z.enum(['every', 'last'])),
});
type Relief = z.infer<typeof schema>;

/** Drawn out with a brush rather than laid like a line, it takes longer (common practice). */
const SET_DOWN = 1.6;
const SUGAR = {
  words: 'clear powder',
  shape: 'round',
  size_mm: 0.12,
  thickness_um: 120,
  colour: '#f5f2ec',
  metallic: false,
  per_cm2: 6000,
} as const;

const ways: Ways<Relief> = {
  'lie-lower': ({ height_um }) =>
    [0.7, 0.5].map((share) => {
      const next = Math.round((height_um * share) / 10) * 10;
      return { words: `Build it ${next} µm high`, options: { height_um: next } };
    }),
  'off-the-walls': ({ region }) => {
    const inner = regionKindOf(region.kind).inner?.(region);
    return inner ? [{ words: 'Leave the outermost ridges off', options: { region: inner } }] : [];
  },
  'wider-valleys': ({ region }, { wider_mm }) => {
    const finer = regionKindOf(region.kind).finer?.(region, wider_mm);
    return finer ? [{ words: `Draw its ridges ${wider_mm} mm finer`, options: { region: finer } }] : [];
  },
  'cures-through': ({ layers }) =>
    [layers + 1, layers + 2]
      .filter((more) => more <= MOST_LAYERS)
      .map((more) => ({ words: `Build it up in ${more} layers`, options: { layers: more } })),
};

/** Lines, drops and shapes that stand up from the nail: full in the middle, drawn out to nothing at their edges. */
export const relief = defineTechnique({
  kind: 'relief',
  words: 'Relief',
  blurb: 'Raised lines, knit, drops: set down in the middle and drawn out thin, over the finish.',
  schema,
  seats: ['surface', 'over'],
  usual: () => 'over',
  fields: [
    {
      kind: 'product',
      path: 'product',
      words: 'In',
      families: ['builder-gel', 'putty-gel', 'art-gel', 'liner-gel', 'gel-colour'],
    },
    numberField(schema, 'height_um', 'Height'),
    numberField(schema, 'layers', 'Layers'),
    { kind: 'switch', path: 'sugar', words: 'Clear powder on it, left open' },
    {
      kind: 'choice',
      path: 'sugared',
      words: 'Sprinkled',
      choices: [
        { value: 'every', words: 'On every layer' },
        { value: 'last', words: 'On the last one' },
      ],
      where: { path: 'sugar', is: [true] },
    },
    REGION_FIELD,
    ...WITHIN_FIELDS,
    fitField('scale', 'keep', 'drop'),
    seatField('usual', 'surface', 'over'),
    HAND_FIELD,
  ],
  fresh: (id, pick) => ({
    id,
    kind: 'relief' as const,
    ...FRESH_PAINTED,
    region: {
      kind: 'lines' as const,
      count: 3,
      width_mm: 1.2,
      pitch_mm: 2.6,
      turn_deg: 0,
      across: 0,
      along: 1,
      crossed: false,
      wave: { rise_mm: 0.7, length_mm: 4.5 },
    },
    seat: 'usual' as const,
    product: pick({ families: ['builder-gel'], coloured: true }),
    height_um: 350,
    layers: 1,
    sugar: false,
    sugared: 'every' as const,
  }),
  handles: partHandles,
  ways,
  ridges: true,
  products: (element) => [element.product],
  called: ({ region, sugar }) => `${sugar ? 'sugared' : 'raised'} ${regionNoun(region) || 'relief'}`,
  plan: (element, context) => {
    const product = context.product(element.product);
    const place = placeOf(context, element);
    const { drawn_s } = regionKindOf(element.region.kind);
    const t_um = element.height_um / element.layers;
    const profile = profileOf(place);
    const isSugared = (pass: number) =>
      element.sugar && (element.sugared !== 'last' || pass === element.layers);
    const layers = Array.from({ length: element.layers }, (_, i) => i + 1).flatMap((pass): Draft[] => [
      {
        step: 'raise',
        pass,
        verb: 'draw',
        words: `${product.name} raised ${regionNoun(element.region) || 'relief'}${element.layers > 1 ? `, layer ${pass} of ${element.layers}` : ''}`,
        product: product.id,
        place,
        paint: { kind: 'product' },
        deposit: { kind: 'conformal', t_um, profile },
        hand_s: (drawn_s?.(element.region) ?? HAND_S.coat) * SET_DOWN,
        reason:
          'Set down in the middle and drawn out thin to the sides; what is nearest the cuticle comes last.',
      },
      ...(isSugared(pass) ? [sugared(element, place, context, pass)] : []),
      { ...flashOf(product, t_um, place, 'Before it sinks.', 'flash', pass), held: true as const },
      ...hardenOf(product, t_um, place, 'cure', pass),
      ...(isSugared(pass) ? [sugarOff(place, pass)] : []),
    ]);
    const sticky = !element.sugar && FAMILIES[product.family].finish === 'tacky';
    return sticky
      ? [
          ...layers,
          wipeDraft(
            context,
            'wipe',
            STICKY_OFF,
            'Sticky it would take up dust; wiped, it can be left as it is.',
            place,
          ),
        ]
      : layers;
  },
});

/** A drop where it is dots, a ridge where it is strokes; across a filled shape it runs out over a little at the edge. */
function profileOf(place: Place): Profile {
  const { stroke_mm, dotted } = regionKindOf(place.region.kind);
  const width_mm = stroke_mm ? stroke_mm(place.region) * (place.keep ? 1 : place.scale) : SHAPE_EDGE_MM;
  return { kind: dotted ? 'drop' : 'ridge', half_mm: width_mm / 2 };
}
const SHAPE_EDGE_MM = 1.4;

function sugared(element: Relief, place: Place, context: NailContext, pass: number): Draft {
  return {
    step: 'sugar',
    pass,
    verb: 'strew',
    words:
      (regionKindOf(element.region.kind).strokes?.(element.region) ?? 1) > 1
        ? 'Sprinkle clear powder over each as it is drawn, then one flash for all'
        : 'Sprinkle clear powder over it while it is wet',
    place,
    deposit: {
      kind: 'grains',
      grains: { ...SUGAR, seed: 77, mirror: isMirrored(context.name, element) },
    },
    hand_s: HAND_S.sprinkle,
    held: true,
    reason: 'Until it looks dry; loose powder falls back into its tray.',
  };
}

function sugarOff(place: Place, pass: number): Draft {
  return {
    step: 'sugar-off',
    pass,
    verb: 'dust-off',
    words: 'Brush the loose powder off',
    place,
    hand_s: HAND_S['dust-off'] * 2,
    reason: 'Before the next line, and left open: a top would drown it.',
  };
}
