import * as z from 'zod/mini';
import { mostOf } from '../../model/extent';
import type { ProductFamily } from '../../model/product';
import { artFilm } from '../artFilm';
import { placeOf, wholePlace } from '../context';
import type { Draft } from '../operation';
import { coatOf, slowestOf } from '../cure';
import { passesOf } from '../drafts';
import { HAND_S, SKIN } from '../handwork';
import {
  freshRecipe,
  mainOf,
  marbleOn,
  partsWords,
  RECIPE,
  recalledRecipe,
  recipeFields,
  MIXED_WAYS,
} from '../recipe';
import { partHandles } from '../partHandles';
import { FAMILIES, type Laid } from '../families';
import { defineTechnique, FILM_BASE, FILM_FIELDS, FILM_SEATS, FRESH_FILM, twoColours } from '../technique';

/** What is dragged or half mixed. */
const MARBLED: readonly ProductFamily[] = [
  'gel-colour',
  'two-stage-colour',
  'art-gel',
  'builder-gel',
  'putty-gel',
  'acrylic',
  'dip',
  'lacquer',
];

const schema = z.strictObject({
  ...FILM_BASE,
  kind: z.literal('marbled'),
  ...RECIPE,
  /** Laid over a coat of its main colour, cured; otherwise on whatever lies there. */
  ground: z.boolean(),
  /** Gels teased with solvent or dragged without; powders taken up face down, or dipped and sprinkled like any other. */
  how: z.enum(['usual', 'dragged', 'dipped', 'sprinkled']),
});
/** How each kind of product is marbled. */
const HOW: Partial<Record<Laid, string>> = {
  structure: 'half mixed on the pad, and laid as one',
  acrylic: 'beads half mixed, and laid as one',
  dip: 'powders side by side in a tray, the nail laid face down',
};
const TEASED = 'dabs dragged, teased with a little solvent';
/** Alcohol or remover, a drop on the brush. */
const SOLVENT = `Solvent is flammable and needs air: a drop on the brush, away from the lamp. ${SKIN}`;
const DRAGGED = 'wet colours side by side, dragged through each other with a liner';
/** What is dipped upright or sprinkled takes up its powders one over the other. */
const IN_TURN = { dipped: 'dipped upright', sprinkled: 'powders sprinkled on' } as const;
const RUN_TOGETHER = 0.85;

/** Colours half mixed: veins of each, as much as was poured of it. */
export const marbled = defineTechnique({
  kind: 'marbled',
  words: 'Marble',
  blurb: 'Colours dragged or half mixed, so that veins of each are left.',
  schema,
  // Up to version 15 each kind had its one way.
  was: {
    15: (options) => ('parts' in options && 'ground' in options ? { ...options, how: 'usual' } : options),
  },
  ...FILM_SEATS,
  fields: [
    ...recipeFields(MARBLED),
    {
      kind: 'choice',
      path: 'how',
      words: 'Done',
      choices: [
        { value: 'usual', words: 'As its product asks' },
        { value: 'dragged', words: 'Wet colours dragged' },
        { value: 'dipped', words: 'Dip: upright' },
        { value: 'sprinkled', words: 'Dip: sprinkled' },
      ],
    },
    { kind: 'switch', path: 'ground', words: 'Over a coat of its main colour' },
    ...FILM_FIELDS,
  ],
  fresh: (id, pick) => {
    const [first, second] = twoColours(pick);
    return {
      id,
      kind: 'marbled' as const,
      ...FRESH_FILM,
      ...freshRecipe(first, second),
      ground: true,
      how: 'usual' as const,
    };
  },
  handles: partHandles,
  ways: {
    ...MIXED_WAYS,
    'without-ground': ({ ground }) =>
      ground ? [{ words: 'Leave the coat below the marble out', options: { ground: false } }] : [],
    'taken-whole': () => [
      { words: 'Lay the nail face down in the tray', options: { how: 'usual' as const } },
    ],
  },
  ahead: (element, context) => {
    const products = element.parts.map(({ product }) => context.product(product));
    const inTray = FAMILIES[slowestOf(products).family].laid === 'dip' && element.how === 'usual';
    return inTray ? [trayOf(products.map(({ name }) => name).join(', '), element.parts)] : [];
  },
  recalled: { step: 'marble', figures: recalledRecipe },
  products: (element) => element.parts.map(({ product }) => product),
  called: ({ parts }, nameOf) => `${nameOf(parts[0]!.product)} and ${nameOf(parts[1]!.product)} marble`,
  plan: (element, context) => {
    const products = element.parts.map(({ product }) => context.product(product));
    const slowest = slowestOf(products);
    const { parts, how } = element;
    const marble = marbleOn(element, context);
    const { laid } = FAMILIES[slowest.family];
    const inTurn = laid === 'dip' && (how === 'dipped' || how === 'sprinkled') ? IN_TURN[how] : undefined;
    const worked = inTurn ?? HOW[laid] ?? (how === 'dragged' ? DRAGGED : TEASED);
    const place = placeOf(context, element);
    const ground = context.product(mainOf(element));
    const below = {
      step: 'ground',
      cureStep: 'cure-ground',
      place,
      paint: { kind: 'product' as const },
      passes: passesOf(ground, 'cover'),
      words: `${ground.name}, for the marble`,
      hand_s: HAND_S.coat,
      reason: 'Of the colour there is most of: a marble is thin, and nothing is to show through it.',
    };
    const dragged = artFilm(
      slowest,
      {
        step: 'marble',
        cureStep: 'cure',
        place,
        paint: inTurn ? { ...marble, mixed: Math.max(marble.mixed, RUN_TOGETHER), in_turn: true } : marble,
        passes: 1,
        t_um: mostOf(products.map(coatOf)),
        words: `Marble ${products.map(({ name }) => name).join(', ')}, ${partsWords(parts)}: ${worked}`,
        hand_s: MARBLED_S + DAB_S * parts.length,
        ...(worked === TEASED ? { caution: SOLVENT } : {}),
        reason:
          'Few strokes: each more takes the veins nearer to one colour. Nails of one look come from one batch.',
      },
      context,
    );
    return element.ground ? [...artFilm(ground, below, context), ...dragged] : dragged;
  },
});

/** Powders laid side by side in a tray and drawn through each other, one for all nails of the look. */
function trayOf(names: string, parts: Parameters<typeof partsWords>[0]): Draft {
  return {
    step: 'tray',
    verb: 'make',
    words: `Make a tray for the marble: ${names}, ${partsWords(parts)}, drawn through each other once`,
    place: wholePlace(),
    hand_s: HAND_S.make,
    scope: 'set',
    caution: POWDER,
    reason: 'In stripes side by side, as wide as a nail is long: each nail takes a fresh place of it up.',
  };
}
const POWDER = 'Keep loose powder out of the air you breathe, and out of bottles.';

/** Dabs, a drag or two, a clean of the brush (common practice). */
const MARBLED_S = 40;
const DAB_S = 8;
