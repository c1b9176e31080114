import * as z from 'zod/mini';
import { rounded } from '../../model/rounded';
import { count, Id, mm } from '../../model/primitives';
import { regionNoun, type Region } from '../../regions';
import type { Draft, Place } from '../operation';
import { placeOf } from '../context';
import { ART_FAMILIES, artFilm } from '../artFilm';
import { coatOf } from '../cure';
import { mixedWithClear, Strength } from '../dilution';
import { coats, passesOf } from '../drafts';
import { Fade, FADE_FIELDS, fadeHandles, fadeOn, fadesTo, FRESH_FADE } from '../fadeOut';
import { HAND_S } from '../handwork';
import { partHandles } from '../partHandles';
import { COVERED } from '../ways';
import {
  defineTechnique,
  FILM_BASE,
  FILM_FIELDS,
  FILM_SEATS,
  FRESH_PAINTED,
  FRESH_SEAT,
  numberField,
  type PickProduct,
  twoColours,
  type Variant,
} from '../technique';

const Line = { product: Id, width_mm: mm(0.1, 2) } as const;
const schema = z.strictObject({
  ...FILM_BASE,
  kind: z.literal('french'),
  product: Id,
  passes: z.union([z.literal('cover'), count(1, 5)]),
  /** Tinted: thinned with clear. */
  tint: z.nullable(z.strictObject({ strength: Strength })),
  /** Faded: no line at all. */
  fade: z.nullable(Fade),
  liner: z.nullable(z.strictObject(Line)),
  /** A second line, so far behind the first. */
  second: z.nullable(z.strictObject({ ...Line, gap_mm: mm(0.3, 6) })),
});
type French = z.infer<typeof schema>;

const LINERS = ['liner-gel', 'gel-colour', 'art-gel'] as const;
const freshLiner = (pick: PickProduct) => ({
  product: pick({ families: LINERS.slice(0, 1), shows: true }),
  width_mm: 0.4,
});
const freshSecond = (pick: PickProduct) => ({ ...freshLiner(pick), gap_mm: 1 });

const fresh = (id: string, pick: PickProduct): French => ({
  id,
  kind: 'french',
  ...FRESH_PAINTED,
  ...FRESH_SEAT,
  region: { kind: 'tip', smile: { rise_mm: 0, depth_mm: 2, tilt_mm: 0 } },
  product: twoColours(pick)[1],
  passes: 'cover',
  tint: null,
  fade: null,
  liner: freshLiner(pick),
  second: null,
});

function variant(
  key: string,
  words: string,
  blurb: string,
  over: (pick: PickProduct) => Partial<French>,
): Variant<French> {
  return { key, words, blurb, fresh: (id, pick) => ({ ...fresh(id, pick), ...over(pick) }) };
}

const ofPart = (region: Region) => () => ({ region });

/** Painted French: the tip beyond a smile line, or another part with a clean edge; lines along it, tinted or faded. */
export const french = defineTechnique({
  kind: 'french',
  words: 'French',
  blurb: 'A painted tip beyond an even smile line; a thin liner hides an unclean edge.',
  schema,
  // Up to version 15 its part was always the tip beyond a smile line.
  was: {
    15: ({ smile, ...options }) => ({
      ...options,
      ...(smile === undefined ? {} : { region: { kind: 'tip', smile } }),
      ...('liner' in options && 'passes' in options && 'product' in options
        ? { tint: null, fade: null, second: null }
        : {}),
    }),
  },
  ...FILM_SEATS,
  fields: [
    { kind: 'product', path: 'product', words: 'Tip', families: ART_FAMILIES },
    { kind: 'optional', path: 'liner', words: 'Thin liner along it', fresh: freshLiner },
    { kind: 'product', path: 'liner.product', words: 'Liner', families: LINERS },
    numberField(schema, 'liner.width_mm', 'Liner width'),
    { kind: 'optional', path: 'second', words: 'Double: a second line', fresh: freshSecond },
    { kind: 'product', path: 'second.product', words: 'Second line', families: LINERS },
    numberField(schema, 'second.width_mm', 'Its width'),
    numberField(schema, 'second.gap_mm', 'Behind the first'),
    {
      kind: 'optional',
      path: 'tint',
      words: 'Tinted: thinned with clear',
      fresh: () => ({ strength: 0.25 }),
    },
    numberField(schema, 'tint.strength', 'Colour in the clear'),
    { kind: 'optional', path: 'fade', words: 'Faded, without a line', fresh: () => FRESH_FADE },
    ...FADE_FIELDS,
    ...FILM_FIELDS,
  ],
  fresh,
  also: [
    variant(
      'v-french',
      'V French',
      'Two straight lines that meet in the middle.',
      ofPart({ kind: 'chevron', point: 0.7, fall_mm: -4 }),
    ),
    variant(
      'side-french',
      'Side French',
      'A line that sweeps over the tip from one side.',
      ofPart({ kind: 'tip', smile: { rise_mm: 0, depth_mm: 1, tilt_mm: 6 } }),
    ),
    variant(
      'reversed-french',
      'Reversed French',
      'A half moon at the cuticle, and a line along it.',
      ofPart({ kind: 'moon', depth_mm: 3.5, spread: 0.8 }),
    ),
    variant('double-french', 'Double French', 'A second thin line behind the tip.', (pick) => ({
      second: freshSecond(pick),
    })),
    variant('outlined', 'Outlined nail', 'A thin line round the whole nail.', () => ({
      region: { kind: 'rim', width_mm: 0.6, where: 'all' as const },
      liner: null,
    })),
    variant('faded-french', 'Faded French', 'The tip thins out to nothing towards the bed.', () => ({
      region: { kind: 'whole' as const },
      liner: null,
      fade: FRESH_FADE,
    })),
    variant('tinted-french', 'Tinted French', 'A sheer tip: what lies below stays seen.', () => ({
      tint: { strength: 0.25 },
      passes: 1,
    })),
  ],
  handles: (element, context) => [...fadeHandles(element, context), ...partHandles(element, context)],
  ways: {
    ...COVERED,
    quicker: ({ liner, second, region }) => [
      ...(second ? [{ words: 'without its second line', options: { second: null } }] : []),
      // An outline is all line.
      ...(liner && region.kind !== 'rim' ? [{ words: 'without its liner', options: { liner: null } }] : []),
    ],
  },
  products: ({ product, liner, second }) => [
    product,
    ...(liner ? [liner.product] : []),
    ...(second ? [second.product] : []),
  ],
  called: ({ product, region }, nameOf) => {
    const part = region.kind === 'tip' ? '' : regionNoun(region);
    return [nameOf(product), part, 'French'].filter(Boolean).join(' ');
  },
  plan: (element, context) => {
    const product = context.product(element.product);
    const place: Place = placeOf(context, element);
    const { tint, fade, liner, second } = element;
    const how = [
      tint ? `tinted, ${mixedWithClear(tint.strength)}` : '',
      fade ? `faded ${fadesTo(fade, element, context)}` : '',
    ].filter(Boolean);
    const tip = artFilm(
      product,
      {
        step: 'tip',
        cureStep: 'cure-tip',
        place,
        paint: tint ? { kind: 'diluted', strength: tint.strength } : { kind: 'product' },
        ...(fade ? { profile: fadeOn(element, fade, context) } : {}),
        passes: passesOf(product, element.passes),
        words: [`French${element.region.kind === 'tip' ? ' tip' : ''} in ${product.name}`, ...how].join(', '),
        drawn: true,
        hand_s: HAND_S.draw,
        reason: fade ? FADED : 'Painted from both sides to the middle, so that left and right stay even.',
      },
      context,
    );
    const along = (
      of: NonNullable<French['liner']>,
      step: string,
      words: string,
      off_mm?: number,
    ): Draft[] => {
      const made = context.product(of.product);
      const along_edge = { width_mm: of.width_mm, ...(off_mm === undefined ? {} : { off_mm }) };
      return coats(made, 1, step, `cure-${step}`, () => ({
        verb: 'draw',
        words: `${words}, ${rounded(of.width_mm, 1)} mm wide, in ${made.name}`,
        place: { ...place, along_edge },
        paint: { kind: 'product' },
        deposit: { kind: 'conformal', t_um: coatOf(made) },
        hand_s: 30,
        reason:
          off_mm === undefined
            ? 'A thin line sharpens the edge and hides where it is unclean.'
            : 'Drawn by the first line, as even in its distance as the eye can keep it.',
      }));
    };
    const line = element.region.kind === 'tip' ? 'the smile line' : 'its edge';
    return [
      ...tip,
      ...(liner ? along(liner, 'liner', `Liner along ${line}`) : []),
      ...(second
        ? along(second, 'second', `Second line, ${second.gap_mm} mm behind the first`, second.gap_mm)
        : []),
    ];
  },
});

const FADED = 'Full at the edge, and drawn out to nothing while it is wet: no line is left.';
