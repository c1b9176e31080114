import * as z from 'zod/mini';
import { mm } from '../../model/primitives';
import { BUILD_BASE, defineBuild } from '../build';
import { wholePlace, type NailContext } from '../context';
import { baseDraft, dustOffDraft, flashOf, hardenOf, LAST_DUST_OFF, spillDraft, wipeDraft } from '../drafts';
import type { Draft } from '../operation';
import { HAND_S } from '../handwork';
import { EXTENSION_UM, filedGround, pouredStructure } from '../structures';
import { APEX_UM, apexField } from './material';
import { prepPlate } from './prep';

const schema = z.strictObject({
  ...BUILD_BASE,
  kind: z.literal('upper-mould'),
  length_mm: mm(1, 30),
  apex_um: APEX_UM,
  /** Filed for what comes over it, or topped as it comes out of the mould. */
  keyed: z.boolean(),
});

/** Gel filled into a mould from above and pressed on: its surface comes out smooth, its outline is filed. */
export const upperMould = defineBuild({
  kind: 'upper-mould',
  words: 'Upper mould filled with builder',
  blurb: 'A mould filled with gel and pressed on: the surface comes out smooth, the outline is filed.',
  schema,
  was: { 11: (build) => ({ ...build, keyed: true }) },
  fields: [apexField(), { kind: 'switch', path: 'keyed', words: 'Its surface keyed with the file' }],
  fresh: (id) => ({
    id,
    kind: 'upper-mould' as const,
    name: 'Moulded',
    shape: 'coffin' as const,
    length_mm: 8,
    apex_um: 650,
    keyed: true,
  }),
  free_mm: (build) => build.length_mm,
  edge: 'form',
  seats: ['under', 'inside', 'surface', 'over'],
  stages: (build, context) => {
    const builder = context.role('builder');
    const place = wholePlace();
    const t_um = context.inlaid ? EXTENSION_UM : build.apex_um;
    return {
      ...prepPlate(context, { shapeWords: 'Shorten the free edge' }),
      foundation: [
        ...baseDraft(context, 'The gel in the mould grips the base, not the plate.'),
        {
          step: 'fill-mould',
          verb: 'fill-mould',
          words: `Fill the mould with ${builder.name}`,
          place,
          hand_s: HAND_S['fill-mould'],
          reason: 'From the tip to the apex, less at the cuticle, and no bubble in it.',
        },
        {
          step: 'press-mould',
          verb: 'press-mould',
          words: 'Press the mould on',
          product: builder.id,
          place,
          deposit: { kind: 'level', t_um },
          hand_s: HAND_S['press-mould'],
          held: true,
          reason: 'Set down at the cuticle and rolled to the tip, so that the air goes out at the end.',
        },
        {
          ...flashOf(builder, t_um, place, 'Held by hand while a flash fixes it.', 'flash-mould'),
          held: true,
        },
        spillDraft(context, 'Wipe what was pressed out', place),
        ...hardenOf(builder, t_um, place, 'cure-mould'),
        {
          step: 'mould-off',
          verb: 'mould-off',
          words: 'Take the mould off',
          place: { ...place, margin_mm: 0 },
          hand_s: HAND_S['mould-off'],
          reason: 'Lifted at a corner of the tip; what comes off soft goes back under the light.',
        },
        ...(build.keyed || context.inlaid
          ? filedGround(context, 'File the outline and key the surface', t_um)
          : outlined(context)),
      ],
    };
  },
  structure: (build, context) =>
    context.inlaid ? pouredStructure(context.role('builder'), build.apex_um - EXTENSION_UM) : undefined,
});

/** The outline alone is filed: a top holds on the smooth of the mould, and nothing else does. */
function outlined(context: NailContext): Draft[] {
  return [
    {
      step: 'outline',
      verb: 'shape',
      words: `File the outline ${context.frame.shape}, and keep off the surface`,
      place: { ...wholePlace(), region: { kind: 'band', from: 1, to: 2 } },
      hand_s: HAND_S.shape,
      reason: 'Where no art comes it is topped as the mould has left it: smooth, and quicker by a filing.',
    },
    dustOffDraft('outline-brush', 'Dust under the top shows as grit.'),
    wipeDraft(context, 'outline-clean', LAST_DUST_OFF, 'Clean before the top.'),
  ];
}
