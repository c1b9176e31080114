import * as z from 'zod/mini';
import { BUILD_BASE, defineBuild } from '../build';
import { sprinkledStructure } from '../structures';
import { APEX_UM, apexField } from './material';
import { OVER_BASE, overBase } from './overBase';

const schema = z.strictObject({
  ...BUILD_BASE,
  kind: z.literal('gel-acrylic'),
  base: OVER_BASE,
  apex_um: APEX_UM,
});

/** Acrylic powder sprinkled into wet gel and cured with it: harder than the gel alone, without monomer. */
export const gelAcrylic = defineBuild({
  kind: 'gel-acrylic',
  words: 'Gel and acrylic powder, own nail',
  blurb: 'Powder sprinkled into wet gel and cured with it: a dry, strong layer on the wearer’s own length.',
  schema,
  fields: [overBase.field, apexField()],
  fresh: (id) => ({
    id,
    kind: 'gel-acrylic' as const,
    name: 'Gel and powder',
    shape: 'squoval' as const,
    base: 'coat' as const,
    apex_um: 350,
  }),
  free_mm: (_build, plate) => plate.free_edge_mm,
  edge: 'plate',
  seats: ['under', 'inside', 'surface', 'over'],
  stages: (build, context) => overBase.stages(build.base, context, 'The gel grips the base, not the plate.'),
  structure: (build, context) =>
    sprinkledStructure(context.role('builder'), context.role('acrylic'), build.apex_um),
});
