import * as z from 'zod/mini';
import { leastOf, mostOf } from '../../model/extent';
import { count, Id, mm, share, Turn } from '../../model/primitives';
import type { ProductFamily } from '../../model/product';
import { artFilm } from '../artFilm';
import { isMirrored, placeOf, scaleOn } from '../context';
import { coatOf, slowestOf } from '../cure';
import { passesOf } from '../drafts';
import { HAND_S } from '../handwork';
import { partHandles } from '../partHandles';
import { FAMILIES, type Laid } from '../families';
import {
  defineTechnique,
  FILM_BASE,
  FILM_FIELDS,
  FILM_SEATS,
  FRESH_FILM,
  numberField,
  twoColours,
} from '../technique';
import type { Ways } from '../ways';

const MOST_PARTS = 6;
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

const Part = z.strictObject({ product: Id, share: share() });
const schema = z.strictObject({
  ...FILM_BASE,
  kind: z.literal('marbled'),
  /** What is poured of each: shares of the whole, whatever they add up to. */
  parts: z
    .array(Part)
    .check(
      z.minLength(2, 'must be of two colours at least'),
      z.maxLength(MOST_PARTS, `must be of ${MOST_PARTS} colours at most`),
    ),
  vein_mm: mm(0.3, 12),
  /** The way it was drawn. */
  turn_deg: Turn,
  /** 0 side by side, 1 stirred into one colour. */
  mixed: share(),
  /** Laid over a coat of its main colour, cured; otherwise on whatever lies there. */
  ground: z.boolean(),
  /** Another throw of the same recipe. */
  throw: count(1, 99),
});
type Marbled = z.infer<typeof schema>;

const ways: Ways<Marbled> = {
  'stir-less': () => [{ words: 'Stir it less', options: { mixed: 0.3 } }],
};

/** How each kind of product is marbled. */
const HOW: Partial<Record<Laid, string>> = {
  structure: 'half mixed on the pad, and laid as one',
  acrylic: 'beads half mixed, and laid as one',
  dip: 'powders side by side in a tray, the nail laid face down',
};
const TEASED = 'dabs dragged, teased with a little solvent';

/** Colours half mixed: veins of each, as much as was poured of it. */
export const marbled = defineTechnique({
  kind: 'marbled',
  words: 'Marble',
  blurb: 'Colours dragged or half mixed, so that veins of each are left.',
  schema,
  ...FILM_SEATS,
  fields: [
    {
      kind: 'list',
      path: 'parts',
      words: 'Poured',
      item: [
        { kind: 'product', path: 'product', words: 'Colour', families: MARBLED },
        numberField(Part, 'share', 'Parts'),
      ],
      fresh: null,
      min: 2,
      max: MOST_PARTS,
    },
    numberField(schema, 'vein_mm', 'Veins across'),
    numberField(schema, 'turn_deg', 'Drawn'),
    numberField(schema, 'mixed', 'Stirred'),
    numberField(schema, 'throw', 'Throw'),
    { kind: 'switch', path: 'ground', words: 'Over a coat of its main colour' },
    ...FILM_FIELDS,
  ],
  fresh: (id, pick) => {
    const [first, second] = twoColours(pick);
    return {
      id,
      kind: 'marbled' as const,
      ...FRESH_FILM,
      parts: [
        { product: first, share: 0.3 },
        { product: second, share: 0.7 },
      ],
      vein_mm: 1.6,
      turn_deg: 25,
      mixed: 0.15,
      ground: true,
      throw: 1,
    };
  },
  handles: partHandles,
  ways,
  products: (element) => element.parts.map(({ product }) => product),
  called: ({ parts }, nameOf) => `${nameOf(parts[0]!.product)} and ${nameOf(parts[1]!.product)} marble`,
  plan: (element, context) => {
    const products = element.parts.map(({ product }) => context.product(product));
    const slowest = slowestOf(products);
    const { parts, vein_mm, turn_deg, mixed } = element;
    const place = placeOf(context, element);
    const main = element.parts.reduce((most, part) => (part.share > most.share ? part : most));
    const ground = context.product(main.product);
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
        paint: {
          kind: 'marble',
          parts,
          vein_mm: vein_mm * scaleOn(context.frame, element),
          turn_deg,
          mixed,
          // Each nail has a throw of its own: no two are alike.
          seed: element.throw * 131 + SEEDS.indexOf(context.name.split('-')[1]!) * 17,
          mirror: isMirrored(context.name, element),
        },
        passes: 1,
        t_um: mostOf(products.map(coatOf)),
        words: `Marble ${products.map(({ name }) => name).join(', ')}, ${partsWords(parts)}: ${HOW[FAMILIES[slowest.family].laid] ?? TEASED}`,
        hand_s: MARBLED_S + DAB_S * parts.length,
        reason:
          'Few strokes: each more takes the veins nearer to one colour. Nails of one look come from one batch.',
      },
      context,
    );
    return element.ground ? [...artFilm(ground, below, context), ...dragged] : dragged;
  },
});

/** Dabs, a drag or two, a clean of the brush (common practice). */
const MARBLED_S = 40;
const DAB_S = 8;
const SEEDS: readonly string[] = ['thumb', 'index', 'middle', 'ring', 'little'];

/** "1 : 3": what is poured of each against the least. */
function partsWords(parts: Marbled['parts']): string {
  const least = Math.min(1, leastOf(parts.map((part) => part.share).filter((one) => one > 0)));
  return parts.map((part) => `${Math.round((part.share / least) * 10) / 10}`).join(' : ');
}
