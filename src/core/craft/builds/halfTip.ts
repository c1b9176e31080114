import * as z from 'zod/mini';
import { Colour, mm } from '../../model/primitives';
import { Smile } from '../../model/smile';
import type { TipFrench } from '../matter';
import { smileFields } from '../technique';
import { BUILT_FRENCH, builtBed, builtFrenchFields, overBed } from './builtBed';
import { BUILD_BASE, defineBuild } from '../build';
import { along_mm } from '../../geometry/frame';
import { wholePlace, type NailContext } from '../context';
import { coatOf } from '../cure';
import { baseDraft, dustOffDraft, hardenOf, LAST_DUST_OFF, STICKY_OFF, wipeDraft } from '../drafts';
import { HAND_S } from '../handwork';
import { pastBed } from '../lengths';
import type { Draft, Place } from '../operation';
import { EXTENSION_UM, pinchedStructure, sculpted } from '../structures';
import { acrylicRefill, APEX_UM, MATERIAL, MATERIAL_FIELDS } from './material';
import { handmadePeel } from '../handmadePeel';
import { OVER_BASE, overBase, PEELS } from './overBase';
import { primeFiled, primePlate } from '../primePlate';
import { sizedTip } from './readyTip';
import { clearPlate } from './prep';

const schema = z.strictObject({
  ...BUILD_BASE,
  kind: z.literal('half-tip'),
  material: MATERIAL,
  length_mm: mm(1, 30),
  apex_um: APEX_UM,
  /** `plate`: a coat of base on the plate alone, and none on the keyed tip. */
  base: z.enum([...OVER_BASE.options, 'plate']),
  /** The overlay is pinched while it gives, for more of a C-curve than the tip has. */
  pinch: z.boolean(),
  french: z.nullable(BUILT_FRENCH),
  /** The tips come with a French of their own, its smile line where the plate ends. */
  edge: z.optional(z.nullable(z.strictObject({ colour: Colour, smile: Smile }))),
});

/** The well of a half tip covers a third of the bed, and is filed out over its whole length (common practice). */
const WELL_FROM = 0.67;
/** A French tip has hardly a well: it is set on where the bed ends (common practice). */
const FRENCH_FROM = 0.92;
/** Thickness of a half tip (common practice, from memory). */
const TIP_UM = 320;
/** Clear over the end of a tip whose seam is left (common practice). */
const OVER_STEP_UM = 250;

/** A half tip glued to the end of the plate and blended into it, then overlaid. */
export const halfTip = defineBuild({
  kind: 'half-tip',
  words: 'Half tip with an overlay',
  blurb: 'A tip glued to the end of the plate, its seam filed out, built over in gel or acrylic.',
  schema,
  was: {
    11: (build) => ({ ...build, french: null }),
    12: (build) => ({ ...build, base: 'coat', pinch: false }),
  },
  fields: [
    ...MATERIAL_FIELDS,
    overBase.fieldWith({ value: 'plate', words: 'Base on the plate alone' }),
    { kind: 'switch', path: 'pinch', words: 'Pinched for more of a C-curve' },
    ...builtFrenchFields,
    {
      kind: 'optional',
      path: 'edge',
      words: 'The tips come with a French of their own',
      fresh: (): TipFrench => ({ colour: '#f6f2ea', smile: { rise_mm: 0, depth_mm: 2.4, tilt_mm: 0 } }),
    },
    { kind: 'shade', path: 'edge.colour', words: 'Their edge' },
    ...smileFields('edge.smile'),
  ],
  fresh: (id) => ({
    id,
    kind: 'half-tip' as const,
    name: 'Half tips',
    shape: 'squoval' as const,
    material: 'builder' as const,
    length_mm: 6,
    apex_um: 350,
    base: 'coat' as const,
    pinch: false,
    french: null,
  }),
  free_mm: (build) => build.length_mm,
  edge: 'tip',
  // A plate under a half tip is primed once the tip is blended: colour comes on that.
  seats: ['under', 'inside', 'surface', 'over'],
  films: (build) => (build.french ? 'under' : undefined),
  stages: (build, context) => {
    const acrylic = build.material === 'acrylic';
    const peels = build.base === 'peel-off' || build.base === 'handmade';
    const { arrive, prepare } = clearPlate(context, 'Shorten the free edge');
    return {
      arrive,
      ahead: [
        sizedTip(context, 'half tip', {
          words: `Size the half tip, file its sides to fit, cut it ${pastBed(context.frame)}`,
          hand_s: HAND_S['ready-tip'] / 2,
          reason: 'From sidewall to sidewall; between sizes the wider one, filed.',
        }),
      ],
      prepare,
      foundation: [
        ...(build.base === 'handmade' ? handmadePeel(context) : peels ? peelable(context) : []),
        ...glued(context, peels ? 'base' : 'plate', build.edge ?? undefined),
        ...(peels
          ? [wipeDraft(context, 'wipe-tip', LAST_DUST_OFF, 'Clean before it is built over.')]
          : primeFiled(context, acrylic ? 'always' : undefined)),
        ...(acrylic
          ? sculpted(
              context.role('acrylic'),
              context.inlaid ? EXTENSION_UM : build.apex_um,
              context,
              [],
              build.pinch,
            )
          : build.base === 'plate'
            ? onPlateAlone(
                baseDraft(context, 'On the plate alone: the overlay grips the keyed tip by itself.'),
              )
            : baseDraft(context, 'Over the plate and the keyed tip alike.')),
        ...(build.french ? builtBed(build.french, context) : []),
      ],
    };
  },
  structure: (build, context) => {
    const laid = overBed(build, 0, context);
    // A step that is not filed out is built over.
    const structure = laid && {
      ...laid,
      apex_um: build.edge ? Math.max(laid.apex_um, TIP_UM + OVER_STEP_UM) : laid.apex_um,
    };
    return structure && build.pinch ? pinchedStructure(structure) : structure;
  },
  refill: (build, context) =>
    build.material === 'acrylic' ? acrylicRefill(build.apex_um, context) : undefined,
});

/** Up to where the tip begins. */
function onPlateAlone(drafts: readonly Draft[]): Draft[] {
  const place: Place = { ...wholePlace(), region: { kind: 'band', from: 0, to: WELL_FROM } };
  return drafts.map((draft) => ({
    ...draft,
    place,
    ...(draft.deposit ? { words: `${draft.words}, on the plate alone` } : {}),
  }));
}

/** A base that peels, cured and keyed: the tip is glued on it, and all of it comes off whole. */
function peelable(context: NailContext): Draft[] {
  return [
    ...primePlate(context, 'never'),
    ...baseDraft(context, PEELS, 'peel_base').map((draft) => ({ ...draft, step: `peel-${draft.step}` })),
    wipeDraft(context, 'peel-wipe', STICKY_OFF, 'The sticky layer clogs the buffer: off with it first.'),
    {
      step: 'peel-key',
      verb: 'buff',
      words: 'Take the shine off the peel-off base',
      place: wholePlace(),
      hand_s: HAND_S.buff,
      reason: 'Glue and overlay hold on what is dull, and not on its shine.',
    },
    dustOffDraft('peel-brush', 'Dust under the tip keeps the glue off.'),
    wipeDraft(context, 'peel-clean', LAST_DUST_OFF, 'Clean before the tip is glued.'),
  ];
}

/** Glued, cut to length and shape, blended, brushed: all of it before the plate is dehydrated and primed. */
function glued(context: NailContext, below: string, french?: TipFrench): Draft[] {
  const glue = context.role('glue');
  const whole: Place = { ...wholePlace(), margin_mm: 0 };
  const from_mm = along_mm(context.frame, WELL_FROM);
  return [
    {
      step: 'glue-tip',
      verb: 'glue-tip',
      words: `Glue the ${french ? 'French half tip, its smile line to the plate’s,' : 'half tip'} on with ${glue.name}`,
      product: glue.id,
      place: { ...whole, region: { kind: 'band', from: french ? FRENCH_FROM : WELL_FROM, to: 2 } },
      deposit: { kind: 'half-tip', glue_um: coatOf(glue), tip_um: TIP_UM, ...(french ? { french } : {}) },
      hand_s: HAND_S['glue-tip'],
      reason: 'At a slant from the free edge down, so that no air stays under the well.',
    },
    ...hardenOf(glue, coatOf(glue), whole, 'hold-tip'),
    {
      step: 'shape-tip',
      verb: 'shape',
      words: `Cut the tip to length and file it ${context.frame.shape}`,
      place: whole,
      hand_s: HAND_S.shape * 2,
      reason: 'Sides in turns so that the tip stays straight.',
    },
    // A French tip has its line where it ends: there is no seam to be hidden, and the file stays off it.
    {
      step: 'blend',
      verb: french ? 'buff' : 'blend',
      words: french
        ? 'Take the shine off the tip, short of its smile line'
        : `Blend the seam of the tip into the ${below}, key the rest`,
      place: whole,
      ...(french
        ? {}
        : {
            removal: {
              allowance_um: 0,
              edge_um: TIP_UM,
              seam_mm: { from: from_mm, to: context.frame.bed_mm },
            },
          }),
      hand_s: french ? HAND_S.buff : HAND_S.blend,
      reason: french
        ? 'Keyed, the overlay holds on it; its line stays as crisp as it came.'
        : 'No seam may show or stand; the file wipes off what the plate was primed with, so it comes first.',
    },
    dustOffDraft('brush-tip', 'Dust under the overlay lifts it.'),
  ];
}
