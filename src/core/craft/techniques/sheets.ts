import * as z from 'zod/mini';
import { seedOf } from '../../model/chance';
import { Colour, mm, share, um } from '../../model/primitives';
import { regionNoun } from '../../regions';
import { isMirrored, placeOf } from '../context';
import { ownTack } from '../drafts';
import { HAND_S } from '../handwork';
import { partHandles } from '../partHandles';
import { OWN_TACK } from '../ways';
import type { Sheet } from '../matter';
import type { Draft } from '../operation';
import {
  defineTechnique,
  FILM_BASE,
  FILM_FIELDS,
  FILM_SEATS,
  FRESH_PAINTED,
  FRESH_SEAT,
  numberField,
  TACK_FIELD,
} from '../technique';

const schema = z.strictObject({
  ...FILM_BASE,
  kind: z.literal('sheets'),
  /** Torn leaf, foil rubbed off its film, or a decal. */
  what: z.enum(['leaf', 'foil', 'decal']),
  colour: Colour,
  metallic: z.boolean(),
  thickness_um: um(1, 300, 1),
  /** How much of its part stays covered, and how wide its shreds are. */
  whole: share(),
  shred_mm: mm(0.3, 15),
  /** Laid on a sticky layer of its own; otherwise on that of what lies below. */
  tack: z.boolean(),
});
type Laid = z.infer<typeof schema>;

interface Way {
  words: string;
  called: string;
  /** 0 lies smooth, 1 crumpled (by the look of it). */
  crinkle: number;
  draft: Pick<Draft, 'verb' | 'words' | 'hand_s' | 'reason'>;
}

const WAYS: Record<Laid['what'], Way> = {
  leaf: {
    words: 'Leaf, torn and pressed on',
    called: 'leaf',
    crinkle: 0.55,
    draft: {
      verb: 'lay-sheet',
      words: 'Lay torn leaf on and press it flat',
      hand_s: HAND_S['lay-sheet'] * 2,
      reason: 'Torn smaller than the nail is wide: large pieces wrinkle on the curve.',
    },
  },
  foil: {
    words: 'Transfer foil, rubbed on',
    called: 'foil',
    crinkle: 0.12,
    draft: {
      verb: 'lay-sheet',
      words: 'Rub the transfer foil on, and pull it off',
      hand_s: HAND_S['lay-sheet'],
      reason: 'It takes where there is tack and nowhere else; rubbed again where it is to be full.',
    },
  },
  decal: {
    words: 'Decal, by the stamper',
    called: 'decal',
    crinkle: 0,
    draft: {
      verb: 'lay-sheet',
      words: 'Lay the decal on with the stamper',
      hand_s: HAND_S['lay-sheet'] * 1.5,
      reason: 'From its middle outwards, no air below; its edges are closed by the next film.',
    },
  },
};

/** Something thin that is laid whole onto tack: leaf, transfer foil, a decal. */
export const sheets = defineTechnique({
  kind: 'sheets',
  words: 'Leaf, foil, decal',
  blurb: 'A thin sheet on the tack: torn leaf, transfer foil, a decal; closed by the next film.',
  schema,
  ...FILM_SEATS,
  fields: [
    {
      kind: 'choice',
      path: 'what',
      words: 'Laid',
      choices: Object.entries(WAYS).map(([value, { words }]) => ({ value, words })),
    },
    { kind: 'shade', path: 'colour', words: 'Colour' },
    { kind: 'switch', path: 'metallic', words: 'Metal' },
    numberField(schema, 'whole', 'Covers of its part'),
    numberField(schema, 'shred_mm', 'Shreds across'),
    numberField(schema, 'thickness_um', 'Thickness'),
    TACK_FIELD,
    ...FILM_FIELDS,
  ],
  fresh: (id) => ({
    id,
    kind: 'sheets' as const,
    ...FRESH_PAINTED,
    ...FRESH_SEAT,
    region: { kind: 'band' as const, from: 1, to: 2 },
    what: 'leaf' as const,
    colour: '#e3bd5c',
    metallic: true,
    thickness_um: 2,
    whole: 0.6,
    shred_mm: 1.6,
    tack: false,
  }),
  handles: partHandles,
  ways: OWN_TACK,
  glints: ({ metallic }) => metallic,
  products: () => [],
  called: ({ what, region }) => [WAYS[what].called, regionNoun(region)].join(' ').trim(),
  plan: (element, context) => {
    const ground = placeOf(context, element);
    // What closes it must go past its edge, at the walls too.
    const place = { ...ground, margin_mm: ground.margin_mm + CLOSED_PAST_MM };
    const { called, crinkle, draft } = WAYS[element.what];
    const { colour, metallic, thickness_um, whole, shred_mm } = element;
    const laid: Sheet = {
      words: called,
      colour,
      metallic,
      thickness_um,
      whole,
      crinkle,
      shred_mm,
      seed: seedOf({ id: element.id, what: element.what }) % 100_000,
      mirror: isMirrored(context.name, element),
    };
    return [
      ...(element.tack ? ownTack(context, ground, called) : []),
      { step: 'lay', place, deposit: { kind: 'sheet', sheet: laid }, ...draft },
    ];
  },
});

/** A film closes the edge of a sheet by so much (common practice). */
const CLOSED_PAST_MM = 0.3;
