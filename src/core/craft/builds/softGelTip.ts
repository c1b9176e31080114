import * as z from 'zod/mini';
import { Colour, Id, mm } from '../../model/primitives';
import { Smile } from '../../model/smile';
import type { TipFrench } from '../matter';
import { smileFields } from '../technique';
import type { Draft } from '../operation';
import { BUILD_BASE, defineBuild } from '../build';
import { wholePlace, type NailContext } from '../context';
import { coatOf, through_s } from '../cure';
import { baseDraft, flashOf, hardenOf, spillDraft } from '../drafts';
import { HAND_S } from '../handwork';
import { pastBed } from '../lengths';
import { prepPlate } from './prep';
import { FULL_TIP_UM, keyedTip, sizedTip } from './readyTip';

const schema = z.strictObject({
  ...BUILD_BASE,
  kind: z.literal('soft-gel-tip'),
  length_mm: mm(1, 30),
  /** Films and pieces of the look on the tip, or inside it: laid face down, before it is fixed. */
  art: z.enum(['above', 'inside', 'halves']),
  /** What fills the hollow under the free edge; its colour shows through the tip. */
  filler: z.nullable(Id),
  /** The tip comes with a French of its own. */
  french: z.optional(z.nullable(z.strictObject({ colour: Colour, smile: Smile }))),
});
type SoftGelTip = z.infer<typeof schema>;

/** Full-cover soft-gel tips fixed with gel under the lamp. */
export const softGelTip = defineBuild({
  kind: 'soft-gel-tip',
  words: 'Full-cover soft-gel tip',
  blurb: 'A ready tip from sidewall to sidewall, fixed with gel through the light; art on it or inside it.',
  schema,
  fields: [
    {
      kind: 'choice',
      path: 'art',
      words: 'Colour and pieces',
      choices: [
        { value: 'above', words: 'On the tip' },
        { value: 'inside', words: 'Inside the tip, laid in reverse' },
        { value: 'halves', words: 'Inside, the pieces half by half' },
      ],
    },
    {
      kind: 'optional',
      path: 'filler',
      words: 'Fill the hollow under the free edge',
      fresh: (pick) => pick({ families: ['builder-gel'], coloured: true }),
    },
    {
      kind: 'product',
      path: 'filler',
      words: 'Filled with',
      families: ['builder-gel', 'putty-gel', 'fixing-gel'],
    },
    {
      kind: 'optional',
      path: 'french',
      words: 'It comes with a French of its own',
      fresh: (): TipFrench => ({ colour: '#f6f2ea', smile: { rise_mm: 0, depth_mm: 2.4, tilt_mm: 0 } }),
    },
    { kind: 'shade', path: 'french.colour', words: 'Its edge' },
    ...smileFields('french.smile'),
  ],
  fresh: (id) => ({
    id,
    kind: 'soft-gel-tip' as const,
    name: 'Soft-gel tips',
    shape: 'almond' as const,
    length_mm: 9,
    art: 'above' as const,
    filler: null,
  }),
  free_mm: (build) => build.length_mm,
  edge: 'tip',
  seats: ['plate', 'under', 'inside', 'surface', 'over'],
  films: (build) => (build.art === 'above' ? undefined : 'tip'),
  halves: (build) => build.art === 'halves',
  stages: (build, context) => {
    const { arrive, prepare } = prepPlate(context, { shapeWords: 'Shorten the free edge' });
    const ready = readyDraft(context, build.art === 'above', build.french ? 'French tip' : 'tip');
    return {
      ahead: [ready],
      arrive,
      prepare,
      foundation: [
        ...baseDraft(context, 'The tip is fixed to the base, not to the plate.'),
        ...fixed(context, build.french ?? undefined),
        ...(build.filler === null ? [] : filled(build.filler, context)),
        ...(context.practice.tips === 'after' ? [shapedOn(context)] : []),
        ...keyedTip(context),
      ],
    };
  },
});

/** Where art comes inside, the inside is etched as that begins, and nothing is primed before. */
function readyDraft(context: NailContext, primed: boolean, tip: string): Draft {
  const after = context.practice.tips === 'after';
  return sizedTip(
    context,
    tip,
    {
      words: `Size the ${tip}${after ? '' : `, shape it ${context.frame.shape}`}, ${pastBed(context.frame)}${primed ? ', etch it inside and prime that' : ''}`,
      hand_s: after ? HAND_S['ready-tip'] / 2 : HAND_S['ready-tip'],
      reason: after
        ? 'Sized sidewall to sidewall; an etched inside holds. It is shaped on the finger.'
        : 'Sized sidewall to sidewall; shaping before fixing is much quicker, and an etched inside holds.',
    },
    primed ? ', and prime its etched inside' : '',
  );
}

/** Pressed on, flashed by hand, the spill wiped while it still comes off, cured. */
function fixed(context: NailContext, french?: TipFrench): Draft[] {
  const fixing = context.role('fixing');
  const place = wholePlace();
  const fixing_um = coatOf(fixing);
  // What lies inside the tip keeps some of the light from the gel below it.
  const lit = (draft: Draft): Draft =>
    draft.lamp
      ? { ...draft, lamp: { ...draft.lamp, seconds: through_s(draft.lamp.seconds, context.dark) } }
      : draft;
  return [
    {
      step: 'press-on',
      verb: 'press-on',
      words: `Press the tip on with ${fixing.name}`,
      product: fixing.id,
      // The tip is as wide as its nail; only the gel below it keeps off the skin.
      place: { ...place, margin_mm: 0 },
      deposit: { kind: 'tip', fixing_um, ...FULL_TIP_UM, ...(french ? { french } : {}) },
      hand_s: HAND_S['press-on'],
      reason: 'A bead inside the tip, rolled down from the cuticle so that no air stays in.',
    },
    {
      ...lit(
        flashOf(
          fixing,
          fixing_um,
          place,
          'Held by hand while a flash fixes it; finger by finger.',
          'flash-tip',
        ),
      ),
      held: true,
    },
    spillDraft(context, 'Wipe the spill off', place),
    ...hardenOf(fixing, fixing_um, place, 'cure-tip').map(lit),
  ];
}

/** The room under the free edge, from the plate's end to the tip. */
function filled(filler: NonNullable<SoftGelTip['filler']>, context: NailContext): Draft[] {
  const product = context.product(filler);
  const place = { ...wholePlace(), margin_mm: 0 };
  return [
    {
      step: 'fill-tip',
      verb: 'fill-tip',
      words: `Hand turned over: fill the hollow under the free edge with ${product.name}`,
      product: product.id,
      place,
      paint: { kind: 'product' },
      deposit: { kind: 'fill' },
      hand_s: HAND_S['fill-tip'],
      reason: 'Flush with the plate’s end and thin towards the tip; its colour shows through a clear tip.',
    },
    ...hardenOf(product, FILL_UM, place, 'cure-fill').map((draft) => ({
      ...draft,
      words: `${draft.words}, hand turned over`,
    })),
  ];
}

/** Depth of the hollow that the light has to reach through (common practice). */
const FILL_UM = 250;

function shapedOn(context: NailContext): Draft {
  return {
    step: 'shape-tip',
    verb: 'shape',
    words: `File the tip ${context.frame.shape}`,
    place: { ...wholePlace(), margin_mm: 0 },
    hand_s: HAND_S.shape * 2,
    reason: 'On the finger, sides in turns so that the tip stays straight.',
  };
}
