import * as z from 'zod/mini';
import { mm } from '../../model/primitives';
import { BUILD_BASE, defineBuild } from '../build';
import { wholePlace, type NailContext } from '../context';
import { baseDraft } from '../drafts';
import { HAND_S } from '../handwork';
import { pastBed } from '../lengths';
import type { Draft } from '../operation';
import { beadedStructure, EXTENSION_UM, sculpted, thinExtension } from '../structures';
import { ART, ART_FIELD, artSits } from './artUnder';
import { BUILT_FRENCH, builtBed, builtFrenchFields, EXTENSION_UNDER_BOTH_UM, overBed } from './builtBed';
import { acrylicRefill, APEX_UM, MATERIAL, MATERIAL_FIELDS } from './material';
import { primePlate } from '../primePlate';
import { clearPlate, prepPlate } from './prep';

const schema = z.strictObject({
  ...BUILD_BASE,
  kind: z.literal('sculpted-form'),
  material: MATERIAL,
  length_mm: mm(1, 30),
  apex_um: APEX_UM,
  art: ART,
  french: z.nullable(BUILT_FRENCH),
});

/**
 * Built past the plate on a paper form. Gel is laid thin over plate and form first, so that the strength lies above
 * the art; acrylic is one body of beads, filed before any art comes on it.
 */
export const sculptedForm = defineBuild({
  kind: 'sculpted-form',
  words: 'Sculpted on a form',
  blurb: 'Built past the plate on paper: any length and outline, in gel or acrylic.',
  schema,
  fields: [...MATERIAL_FIELDS, ART_FIELD, ...builtFrenchFields],
  fresh: (id) => ({
    id,
    kind: 'sculpted-form' as const,
    name: 'Sculpted',
    shape: 'almond' as const,
    material: 'builder' as const,
    length_mm: 8,
    apex_um: 650,
    art: 'over' as const,
    french: null,
  }),
  free_mm: (build) => build.length_mm,
  edge: 'form',
  seats: ['plate', 'under', 'inside', 'surface', 'over'],
  films: (build) => (build.french ? 'under' : artSits(build)),
  stages: (build, context) => {
    const shapeWords = 'Shorten the free edge';
    const coversArt = build.material === 'acrylic' && build.art === 'under';
    const thin_um = context.inlaid && build.french ? EXTENSION_UNDER_BOTH_UM : EXTENSION_UM;
    if (build.material === 'acrylic')
      return {
        ...clearPlate(context, shapeWords),
        foundation: [
          ...primedForBeads(context),
          ...sculpted(
            context.role('acrylic'),
            context.inlaid || coversArt ? thin_um : build.apex_um,
            context,
            [FORM_OFF],
            true,
          ),
          ...(build.french ? builtBed(build.french, context) : []),
        ],
      };
    return {
      ...prepPlate(context, { shapeWords }),
      foundation: [
        ...baseDraft(context, 'The extension grips the base, not the plate.'),
        formOn(context),
        ...thinExtension(context.role(build.material === 'putty' ? 'putty' : 'builder'), context, thin_um),
        FORM_OFF,
        ...(build.french ? builtBed(build.french, context) : []),
      ],
    };
  },
  structure: (build, context) => {
    const structure =
      overBed(build, EXTENSION_UM, context) ??
      // Beaded over the art; without any, acrylic is one body from the first.
      (build.art === 'under'
        ? beadedStructure(context.role('acrylic'), build.apex_um - EXTENSION_UM)
        : undefined);
    return structure && { ...structure, fileWords: `File the nail ${context.frame.shape} and level it` };
  },
  refill: (build, context) =>
    build.material === 'acrylic' ? acrylicRefill(build.apex_um, context) : undefined,
});

/**
 * Beads take minutes a nail: each is primed just before its own, with the forms of its hand on already. What lies on the
 * plate itself wants it primed before a form is fitted over it.
 */
function primedForBeads(context: NailContext): Draft[] {
  const primed = primePlate(context, 'always');
  if (context.onPlate) return [...primed, formOn(context)];
  const isWipe = ({ verb }: Draft) => verb === 'wipe';
  return [...primed.filter(isWipe), formOn(context), ...primed.filter((draft) => !isWipe(draft))];
}

/** A form that carries what is built past the nail bed. */
export function formOn({ frame }: NailContext): Draft {
  return {
    step: 'form',
    verb: 'fit-form',
    words: `Fit the form snug under the free edge, to build ${pastBed(frame)}`,
    place: wholePlace(),
    hand_s: HAND_S['fit-form'],
    reason: 'No gap to the plate and in line with the finger: the extension runs on as the form points.',
  };
}

export const FORM_OFF: Draft = {
  step: 'form-off',
  verb: 'form-off',
  words: 'Take the form off, downwards',
  place: { ...wholePlace(), margin_mm: 0 },
  hand_s: HAND_S['form-off'],
  reason: 'Pinched together and drawn down, it comes off without a pull on the extension.',
};
