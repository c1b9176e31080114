import * as z from 'zod/mini';
import { mm } from '../../model/primitives';
import { BUILD_BASE, defineBuild } from '../build';
import { pouredStructure, thinExtension, EXTENSION_UM } from '../structures';
import { ART, ART_FIELD, artSits } from './artUnder';
import { APEX_UM, apexField } from './material';
import { OVER_BASE, overBase } from './overBase';
import { FORM_OFF, formOn } from './sculptedForm';

const schema = z.strictObject({
  ...BUILD_BASE,
  kind: z.literal('lengthened'),
  base: OVER_BASE,
  art: ART,
  /** Past the bed, the wearer's own free edge included. */
  length_mm: mm(1, 15),
  apex_um: APEX_UM,
});

/** The wearer's own length kept and carried on a little over a form, then one overlay of builder over both. */
export const lengthened = defineBuild({
  kind: 'lengthened',
  words: 'Lengthened over a form',
  blurb: 'The wearer’s free edge stays; a few millimetres more are built from it on paper.',
  schema,
  fields: [overBase.field, ART_FIELD, apexField()],
  fresh: (id) => ({
    id,
    kind: 'lengthened' as const,
    name: 'Lengthened',
    shape: 'oval' as const,
    base: 'coat' as const,
    art: 'over' as const,
    length_mm: 4,
    apex_um: 500,
  }),
  free_mm: (build, plate) => Math.max(build.length_mm, plate.free_edge_mm),
  edge: 'lengthened',
  seats: ['plate', 'under', 'inside', 'surface', 'over'],
  films: artSits,
  stages: (build, context) => {
    const own = overBase.stages(build.base, context, 'What is built grips the base, not the plate.');
    const longer = context.frame.length_mm - context.frame.bed_mm > context.nail.plate.free_edge_mm;
    if (!longer) return own;
    const builder = context.role('builder');
    return {
      ...own,
      foundation: [...own.foundation, formOn(context), ...thinExtension(builder, context), FORM_OFF],
    };
  },
  structure: (build, context) => ({
    ...pouredStructure(context.role('builder'), build.apex_um - EXTENSION_UM),
    fileWords: `File the nail ${context.frame.shape} and level it`,
  }),
});
