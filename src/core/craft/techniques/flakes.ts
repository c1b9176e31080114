import * as z from 'zod/mini';
import { seedOf } from '../../model/chance';
import { Colour, mm } from '../../model/primitives';
import { regionNoun } from '../../regions';
import { isMirrored, placeOf } from '../context';
import { looseOffDraft, ownTack } from '../drafts';
import { Fade, FADE_FIELDS, fadeHandles, fadeOn, fadesTo } from '../fadeOut';
import { HAND_S } from '../handwork';
import type { Draft } from '../operation';
import { partHandles } from '../partHandles';
import { slickTop } from '../slickTop';
import { defineTechnique, FILM_BASE, FILM_FIELDS, FILM_SEATS, FRESH_FILM, numberField } from '../technique';

const schema = z.strictObject({
  ...FILM_BASE,
  kind: z.literal('flakes'),
  colour: Colour,
  flake_mm: mm(0.2, 4),
  /** Burnished on a slick top to one mirror, or pressed on tack and left broken. */
  on: z.enum(['slick', 'tack']),
  /** It brings that top, or a thin base for its tack; otherwise the look has it below. */
  own_ground: z.boolean(),
  /** Thinning out, the mirror breaks up. */
  fade: z.nullable(Fade),
});
type Flakes = z.infer<typeof schema>;

/** What is left of them: rubbed they run together, pressed they keep gaps (by the look of it). */
const WHOLE = { slick: 1, tack: 0.62 } as const;
const CRINKLE = { slick: 0.06, tack: 0.45 } as const;
const FLAKE_UM = 3;

const LAID: Record<Flakes['on'], Pick<Draft, 'verb' | 'words' | 'hand_s' | 'reason'>> = {
  slick: {
    verb: 'burnish',
    words: 'Burnish flakes to a mirror',
    hand_s: HAND_S.burnish * 1.5,
    reason: 'Rubbed in while the top is warm they run together; rubbed less, the mirror breaks up.',
  },
  tack: {
    verb: 'lay-sheet',
    words: 'Press flakes on, and leave the gaps between them',
    hand_s: HAND_S['lay-sheet'] * 1.5,
    reason: 'On tack each lies where it fell: broken, and meant so. Never rubbed: they would tear.',
  },
};

/** Flakes of metal: one mirror where they are burnished on slick, broken where they are pressed on tack. */
export const flakes = defineTechnique({
  kind: 'flakes',
  words: 'Flakes',
  blurb: 'Thin flakes of metal, burnished to a mirror that may break up, or pressed on and left broken.',
  schema,
  // Up to version 14 there were none.
  was: { 14: (options) => options },
  ...FILM_SEATS,
  fields: [
    { kind: 'shade', path: 'colour', words: 'Colour' },
    {
      kind: 'choice',
      path: 'on',
      words: 'Laid',
      choices: [
        { value: 'slick', words: 'Burnished on a slick top' },
        { value: 'tack', words: 'Pressed on tack' },
      ],
    },
    { kind: 'switch', path: 'own_ground', words: 'With a ground of its own below' },
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
    own_ground: true,
    fade: { direction: 'along' as const, from: 0.8, to: 0.4 },
  }),
  handles: (element, context) => [...fadeHandles(element, context), ...partHandles(element, context)],
  ways: {
    'own-tack': ({ on, own_ground }) =>
      own_ground
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
    const ground =
      on === 'slick' ? slickTop(context, place, 'flakes', false) : ownTack(context, place, 'flakes');
    const laid = LAID[on];
    return [
      ...(element.own_ground ? ground : []),
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
            whole: WHOLE[on],
            crinkle: CRINKLE[on],
            shred_mm: flake_mm,
            seed: seedOf({ id: element.id, kind: element.kind }) % 100_000,
            mirror: isMirrored(context.name, element),
          },
          ...(fade ? { profile: fadeOn(element, fade, context) } : {}),
        },
      },
      looseOffDraft(place),
    ];
  },
});
