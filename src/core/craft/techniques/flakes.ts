import * as z from 'zod/mini';
import { seedOf } from '../../model/chance';
import { Colour, mm } from '../../model/primitives';
import { regionNoun } from '../../regions';
import { isMirrored, placeOf, type NailContext } from '../context';
import { coatOf } from '../cure';
import { baseFor, hardenOf, looseOffDraft, ownTack } from '../drafts';
import { Fade, FADE_FIELDS, fadeHandles, fadeOn, fadesTo } from '../fadeOut';
import { HAND_S } from '../handwork';
import type { Draft, Place } from '../operation';
import { partHandles } from '../partHandles';
import { slickTop } from '../slickTop';
import { defineTechnique, FILM_BASE, FILM_FIELDS, FILM_SEATS, FRESH_FILM, numberField } from '../technique';

const schema = z.strictObject({
  ...FILM_BASE,
  kind: z.literal('flakes'),
  colour: Colour,
  flake_mm: mm(0.2, 4),
  /** Burnished on a slick top, laid on tack, or laid into a thin coat that is still wet. */
  on: z.enum(['slick', 'tack', 'wet']),
  /** How much of the ground they close. */
  left: z.enum(['closed', 'broken', 'gaps']),
  /** On tack and into a wet coat. */
  manner: z.enum(['pressed', 'dabbed']),
  /** It brings that top, or a thin base for its tack; otherwise the look has it below. */
  own_ground: z.boolean(),
  /** Thinning out, the mirror breaks up. */
  fade: z.nullable(Fade),
});
type Flakes = z.infer<typeof schema>;

/** How much of the ground they close, and how far they crinkle (by the look of it). */
const LEFT = {
  closed: { whole: 1, crinkle: 0.06, words: 'to a closed mirror' },
  broken: { whole: 0.62, crinkle: 0.45, words: 'broken, with fine cracks between them' },
  gaps: { whole: 0.35, crinkle: 0.5, words: 'with wide gaps between them' },
} as const;
const FLAKE_UM = 3;

/** The work of laying them, as their ground asks it. */
function laidOn({ on, left, manner }: Flakes): Pick<Draft, 'verb' | 'words' | 'hand_s' | 'reason'> {
  const how = LEFT[left].words;
  if (on === 'slick')
    return {
      verb: 'burnish',
      words: `Burnish flakes ${how}`,
      hand_s: HAND_S.burnish * 1.5,
      reason: 'Rubbed in while the top is warm they run together; rubbed less, the mirror breaks up.',
    };
  const closed = left === 'closed';
  return {
    verb: 'lay-sheet',
    words: `${manner === 'dabbed' ? 'Dab flakes on' : 'Press flakes on'}${on === 'wet' ? ' while it is wet' : ''}, ${how}`,
    hand_s: HAND_S['lay-sheet'] * (closed ? 1.5 : 1),
    reason: closed
      ? 'One beside the other, until no ground is seen; never rubbed: they would tear.'
      : 'Each lies where it fell, and what comes over them grips in the gaps; never rubbed: they would tear.',
  };
}

/** A thin coat that is wet for them, and the light that closes it once they lie. */
function wetGround(context: NailContext, place: Place): { before: Draft[]; after: Draft[] } {
  const base = context.role('base');
  return {
    before: [
      baseFor(context, place, {
        step: 'wet',
        how: 'and left wet for the flakes',
        reason: 'They sink into it a little, and lie flatter than on tack.',
      }),
    ],
    after: hardenOf(base, coatOf(base), place),
  };
}

/** Flakes of metal: one mirror where they are burnished on slick, broken where they are pressed on tack. */
export const flakes = defineTechnique({
  kind: 'flakes',
  words: 'Flakes',
  blurb: 'Thin flakes of metal, burnished to a mirror that may break up, or pressed on and left broken.',
  schema,
  was: {
    // Up to version 14 there were none.
    14: (options) => options,
    // Up to version 20 their ground said how they were left.
    20: (options) =>
      'on' in options
        ? { ...options, left: options.on === 'slick' ? 'closed' : 'broken', manner: 'pressed' }
        : options,
  },
  ...FILM_SEATS,
  fields: [
    { kind: 'shade', path: 'colour', words: 'Colour' },
    {
      kind: 'choice',
      path: 'on',
      words: 'Laid',
      choices: [
        { value: 'slick', words: 'Burnished on a slick top' },
        { value: 'tack', words: 'On tack' },
        { value: 'wet', words: 'Into a thin wet coat' },
      ],
    },
    {
      kind: 'choice',
      path: 'left',
      words: 'Left',
      choices: [
        { value: 'closed', words: 'Closed' },
        { value: 'broken', words: 'Broken' },
        { value: 'gaps', words: 'With gaps' },
      ],
    },
    {
      kind: 'choice',
      path: 'manner',
      words: 'Set down',
      choices: [
        { value: 'pressed', words: 'Pressed' },
        { value: 'dabbed', words: 'Dabbed' },
      ],
      where: { path: 'on', is: ['tack', 'wet'] },
    },
    {
      kind: 'switch',
      path: 'own_ground',
      words: 'With a ground of its own below',
      where: { path: 'on', is: ['slick', 'tack'] },
    },
    numberField(schema, 'flake_mm', 'Flakes across'),
    {
      kind: 'optional',
      path: 'fade',
      words: 'Breaking up to none',
      fresh: () => ({ direction: 'along', from: 0.95, to: 0.5 }),
    },
    ...FADE_FIELDS,
    ...FILM_FIELDS,
  ],
  fresh: (id) => ({
    id,
    kind: 'flakes' as const,
    ...FRESH_FILM,
    colour: '#d8b9c6',
    flake_mm: 0.9,
    on: 'slick' as const,
    left: 'closed' as const,
    manner: 'pressed' as const,
    own_ground: true,
    fade: { direction: 'along' as const, from: 0.8, to: 0.4 },
  }),
  handles: (element, context) => [...fadeHandles(element, context), ...partHandles(element, context)],
  ways: {
    'own-tack': ({ on, own_ground }) =>
      own_ground || on === 'wet'
        ? []
        : [
            {
              words:
                on === 'tack' ? 'Lay them on a thin base of their own' : 'Lay them on a top of their own',
              options: { own_ground: true },
            },
          ],
  },
  glints: () => true,
  products: () => [],
  called: ({ region }) => ['flakes', regionNoun(region)].join(' ').trim(),
  plan: (element, context) => {
    const place = placeOf(context, element);
    const { on, colour, flake_mm, fade } = element;
    const { whole, crinkle } = LEFT[element.left];
    const laid = laidOn(element);
    const ground =
      on === 'slick' ? slickTop(context, place, 'flakes', false) : ownTack(context, place, 'flakes');
    const wet = on === 'wet' ? wetGround(context, place) : undefined;
    return [
      ...(wet ? wet.before : element.own_ground ? ground : []),
      {
        step: 'lay',
        ...laid,
        words: fade ? `${laid.words}, breaking up ${fadesTo(fade, element, context)}` : laid.words,
        place,
        deposit: {
          kind: 'sheet',
          sheet: {
            words: 'flakes',
            colour,
            metallic: true,
            thickness_um: FLAKE_UM,
            whole,
            crinkle,
            shred_mm: flake_mm,
            seed: seedOf({ id: element.id, kind: element.kind }) % 100_000,
            mirror: isMirrored(context.name, element),
          },
          ...(fade ? { profile: fadeOn(element, fade, context) } : {}),
        },
      },
      // What did not take hold swims in a wet coat: it is brushed off once that is hard.
      ...(wet ? wet.after : []),
      looseOffDraft(place),
    ];
  },
});
