import * as z from 'zod';
import { mm } from '../../model/primitives';
import { BUILD_BASE, defineBuild } from '../build';
import { wholePlace } from '../context';
import { baseDraft, flashOf, hardenOf, spillDraft } from '../drafts';
import { HAND_S } from '../handwork';
import { EXTENSION_UM, filedGround, pouredStructure } from '../structures';
import { APEX_UM, apexField } from './material';
import { prepPlate } from './prep';

const schema = z.strictObject({
  ...BUILD_BASE,
  kind: z.literal('upper-mould'),
  length_mm: mm(1, 30),
  apex_um: APEX_UM,
});

/** Gel filled into a mould from above and pressed on: its surface comes out smooth, its outline is filed. */
export const upperMould = defineBuild({
  kind: 'upper-mould',
  words: 'Upper mould filled with builder',
  blurb: 'A mould filled with gel and pressed on: the surface comes out smooth, the outline is filed.',
  schema,
  fields: [apexField()],
  fresh: (id) => ({
    id,
    kind: 'upper-mould' as const,
    name: 'Moulded',
    shape: 'coffin' as const,
    length_mm: 8,
    apex_um: 650,
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
        ...filedGround(context, 'File the outline and key the surface', t_um),
      ],
    };
  },
  structure: (build, context) =>
    context.inlaid ? pouredStructure(context.role('builder'), build.apex_um - EXTENSION_UM) : undefined,
});
