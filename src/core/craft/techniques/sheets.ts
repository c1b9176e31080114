import * as z from 'zod/mini';
import { seedOf } from '../../model/chance';
import { upperFirst } from '../../model/letters';
import { Colour, Id, mm, share, um } from '../../model/primitives';
import { regionNoun } from '../../regions';
import { isMirrored, placeOf } from '../context';
import type { Product } from '../../model/product';
import { coatOf } from '../cure';
import { coats, ownTack, STICKY_OFF, wipeDraft } from '../drafts';
import { HAND_S } from '../handwork';
import { partHandles } from '../partHandles';
import { laidPrint, Print, printOf, printWords } from '../prints';
import { OWN_TACK } from '../ways';
import type { Sheet } from '../matter';
import type { Draft, Place } from '../operation';
import {
  defineTechnique,
  FILM_BASE,
  FILM_FIELDS,
  FILM_SEATS,
  FRESH_PAINTED,
  FRESH_SEAT,
  numberField,
  TACK_FIELD,
  type Variant,
} from '../technique';

const schema = z.strictObject({
  ...FILM_BASE,
  kind: z.literal('sheets'),
  /** Torn leaf, foil rubbed off its film, a decal by stamper or slid on, a sticker, an image off an engraved plate. */
  what: z.enum(['leaf', 'foil', 'decal', 'slid', 'sticker', 'stamp']),
  colour: Colour,
  metallic: z.boolean(),
  thickness_um: um(1, 300, 1),
  /** How much of its part stays covered, and how wide its shreds are. */
  whole: share(),
  shred_mm: mm(0.3, 15),
  /** Laid on a sticky layer of its own; otherwise on that of what lies below. */
  tack: z.boolean(),
  /** Of transfer foil: the gel it takes on, cured and still tacky; without one it has what lies there. */
  gel: z.optional(z.nullable(Id)),
  /** Of decals, stickers and plates: the picture; without one it is a plain shape in its colour. */
  print: z.optional(z.nullable(Print)),
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
      hand_s: HAND_S['lay-sheet'] * 1.5,
      reason: 'Torn smaller than the nail is wide: large pieces wrinkle on the curve.',
    },
  },
  foil: {
    words: 'Transfer foil, rubbed on',
    called: 'transfer foil',
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
      hand_s: HAND_S['lay-sheet'],
      reason: 'From its middle outwards, no air below; its edges are closed by the next film.',
    },
  },
  slid: {
    words: 'Decal, soaked and slid on',
    called: 'decal',
    crinkle: 0,
    draft: {
      verb: 'stick',
      words: 'Soak the decal, slide it on and press the water out',
      hand_s: HAND_S.stick * 2,
      reason:
        'On matte and slick no stamper lets go of it; dry, its edges are closed by a film that goes past them.',
    },
  },
  sticker: {
    words: 'Sticker',
    called: 'sticker',
    crinkle: 0,
    draft: {
      verb: 'stick',
      words: 'Lay the sticker on and press its edges down',
      hand_s: HAND_S.stick,
      reason: 'It holds by its own glue; an edge that stands up lifts the top over it.',
    },
  },
  stamp: {
    words: 'Stamped image',
    called: 'stamped image',
    crinkle: 0,
    draft: {
      verb: 'stamp',
      words: 'Scrape the plate, pick the image up and roll it on within seconds',
      hand_s: HAND_S.stamp,
      reason:
        'Thin colour dries on the stamper; rolled on, not pressed. The top over it is floated, not dragged.',
    },
  },
};

/** What can bear a picture. */
const BEARS_PRINT: readonly Laid['what'][] = ['decal', 'slid', 'sticker', 'stamp'];

/** What clings to tack and to nothing else. */
const WANTS_TACK: readonly Laid['what'][] = ['leaf', 'foil', 'decal'];

const fresh = (id: string): Laid => ({
  id,
  kind: 'sheets',
  ...FRESH_PAINTED,
  ...FRESH_SEAT,
  region: { kind: 'band', from: 1, to: 2 },
  what: 'leaf',
  colour: '#e3bd5c',
  metallic: true,
  thickness_um: 2,
  whole: 0.6,
  shred_mm: 1.6,
  print: null,
  tack: false,
});

/** What carries a picture, whole in its part. */
const PICTURE: Partial<Laid> = {
  region: { kind: 'oval', across: 0, along: 0.85, width_mm: 8, length_mm: 8, turn_deg: 0 },
  colour: '#3a2a55',
  metallic: false,
  thickness_um: 8,
  whole: 1,
};

function variant(what: Laid['what'], words: string, blurb: string, over: Partial<Laid>): Variant<Laid> {
  return { key: what, words, blurb, fresh: (id) => ({ ...fresh(id), what, ...over }) };
}

/** Something thin that is laid whole onto tack: leaf, transfer foil, a decal. */
export const sheets = defineTechnique({
  kind: 'sheets',
  words: 'Leaf',
  blurb: 'Torn leaf of metal, pressed onto tack; closed by the next film.',
  named: ({ what }) => upperFirst(WAYS[what].called),
  schema,
  ...FILM_SEATS,
  fields: [
    {
      kind: 'choice',
      path: 'what',
      words: 'Laid',
      choices: Object.entries(WAYS).map(([value, { words }]) => ({ value, words })),
    },
    { kind: 'print', path: 'print', words: 'Picture', where: { path: 'what', is: BEARS_PRINT } },
    { kind: 'shade', path: 'colour', words: 'Colour' },
    { kind: 'switch', path: 'metallic', words: 'Metal' },
    numberField(schema, 'whole', 'Covers of its part'),
    numberField(schema, 'shred_mm', 'Shreds across'),
    numberField(schema, 'thickness_um', 'Thickness'),
    { ...TACK_FIELD, where: { path: 'what', is: WANTS_TACK } },
    {
      kind: 'optional',
      path: 'gel',
      words: 'On a foil gel of its own',
      fresh: (pick) => pick({ families: ['foil-gel'] }),
      where: { path: 'what', is: ['foil'] },
    },
    {
      kind: 'product',
      path: 'gel',
      words: 'Foil gel',
      families: ['foil-gel'],
      where: { path: 'what', is: ['foil'] },
    },
    ...FILM_FIELDS,
  ],
  fresh,
  also: [
    {
      key: 'foil',
      words: 'Transfer foil',
      blurb: 'A thin metal film, rubbed off its carrier onto a foil gel that is cured and still tacky.',
      fresh: (id, pick) => ({
        ...fresh(id),
        what: 'foil' as const,
        whole: 0.9,
        gel: pick({ families: ['foil-gel'] }),
      }),
    },
    variant('decal', 'Decal', 'A picture printed on a clear film, laid on the tack with the stamper.', {
      ...PICTURE,
      print: printOf('Five petals', '#d9808f', '#e8c268'),
    }),
    variant('sticker', 'Sticker', 'Cut with a rim round its picture; on tack or on any hard film.', {
      ...PICTURE,
      region: { kind: 'oval', across: 0, along: 0.85, width_mm: 6.5, length_mm: 6.5, turn_deg: 0 },
      colour: '#f6f1e7',
      print: printOf('Star', '#b3324a'),
      thickness_um: 40,
    }),
    variant(
      'stamp',
      'Stamped image',
      'Off an engraved plate, rolled onto a dry film: its lines and nothing else.',
      {
        ...PICTURE,
        region: { kind: 'oval', across: 0, along: 0.85, width_mm: 10, length_mm: 11, turn_deg: 0 },
        colour: '#f0e6d2',
        print: printOf('Feather', '#f0e6d2', '#f0e6d2'),
        thickness_um: 5,
      },
    ),
  ],
  handles: partHandles,
  ways: {
    'foil-gel': ({ what }, { product }) =>
      what === 'foil'
        ? [{ words: 'Lay it on a foil gel of its own, cured and left tacky', options: { gel: product } }]
        : [],
    'own-tack': (element, wish, context) =>
      WANTS_TACK.includes(element.what) && !ownGel(element)
        ? [...(element.what === 'decal' ? [SLID] : []), ...OWN_TACK['own-tack']!(element, wish, context)]
        : [],
  },
  glints: ({ metallic }) => metallic,
  products: (element) => [ownGel(element) ?? []].flat(),
  called: (element) =>
    printed(element)
      ? `${printWords(printed(element)!)} ${WAYS[element.what].called}`
      : [WAYS[element.what].called, regionNoun(element.region)].join(' ').trim(),
  plan: (element, context) => {
    const ground = placeOf(context, element);
    // What closes it must go past its edge, at the walls too.
    const place = { ...ground, margin_mm: ground.margin_mm + CLOSED_PAST_MM };
    const { called, crinkle, draft } = WAYS[element.what];
    const own = ownGel(element);
    const { colour, metallic, thickness_um, whole, shred_mm } = element;
    const print = printed(element);
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
      ...(element.what === 'foil' ? { takes_on: 'foil-gel' as const } : {}),
      ...(print ? { print: laidPrint(print, ground, context.frame), clear: element.what !== 'sticker' } : {}),
    };
    return [
      ...(own ? foilGel(context.product(own), ground) : []),
      ...(element.tack && !own && WANTS_TACK.includes(element.what) ? ownTack(context, ground, called) : []),
      ...(element.what === 'stamp' ? [wipeDraft(context, 'dry', STICKY_OFF, DRY, ground)] : []),
      {
        step: 'lay',
        place,
        deposit: { kind: 'sheet', sheet: laid },
        ...draft,
        words: print ? `${draft.words}: ${printWords(print)}` : draft.words,
      },
    ];
  },
});

/** Where no stamper lets go of a decal. */
const SLID = { words: 'Soak the decal and slide it on', options: { what: 'slid' as const } };

/** The picture of what can bear one. */
function printed({ what, print }: Laid): Print | undefined {
  return BEARS_PRINT.includes(what) ? (print ?? undefined) : undefined;
}

/** The gel of its own that a foil is laid on. */
function ownGel({ what, gel }: Laid): string | undefined {
  return what === 'foil' ? (gel ?? undefined) : undefined;
}

/** Thin, cured, and not wiped: the foil takes on its tack and nowhere else. */
function foilGel(gel: Product, place: Place): Draft[] {
  return coats(gel, 1, 'foil-gel', 'cure-foil-gel', () => ({
    verb: 'coat',
    words: `${gel.name}, thin, where the foil is to take`,
    place,
    paint: { kind: 'product' },
    deposit: { kind: 'conformal', t_um: coatOf(gel) },
    hand_s: HAND_S.coat,
    reason: 'Cured and left tacky, it takes the whole of the foil; on any other tack it takes in patches.',
  }));
}

/** Why a ground is wiped before an image is rolled onto it. */
const DRY = 'On tack the image smears and tears; on a dry film it comes off the stamper whole.';
/** A film closes the edge of a sheet by so much (common practice). */
const CLOSED_PAST_MM = 0.3;
