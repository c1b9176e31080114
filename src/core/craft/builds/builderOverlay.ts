import * as z from 'zod/mini';
import { um } from '../../model/primitives';
import { BUILD_BASE, defineBuild } from '../build';
import { pouredStructure } from '../structures';
import { numberField } from '../technique';
import { ART, ART_FIELD, artSits } from './artUnder';
import { OVER_BASE, overBase } from './overBase';

const schema = z.strictObject({
  ...BUILD_BASE,
  kind: z.literal('natural-builder'),
  base: OVER_BASE,
  art: ART,
  /** Thickness of the builder at the apex. */
  apex_um: um(200, 1500, 50),
});

/** A free edge this long curls in under the lamp unless it is held (common practice). */
const ROD_FROM_MM = 5;

/** Builder gel over the natural nail: strength where it bends, on the wearer's own length. */
export const builderOverlay = defineBuild({
  kind: 'natural-builder',
  words: 'Builder over the natural nail',
  blurb: 'The wearer’s own length, made strong: an apex over the stress area, filed even.',
  schema,
  fields: [overBase.field, ART_FIELD, numberField(schema, 'apex_um', 'Builder at the apex')],
  fresh: (id) => ({
    id,
    kind: 'natural-builder' as const,
    name: 'Builder overlay',
    shape: 'oval' as const,
    base: 'coat' as const,
    art: 'over' as const,
    apex_um: 450,
  }),
  free_mm: (_build, plate) => plate.free_edge_mm,
  edge: 'plate',
  seats: ['under', 'inside', 'surface', 'over'],
  films: artSits,
  stages: (build, context) => overBase.stages(build.base, context, 'Builder grips the base, not the plate.'),
  structure: (build, context) =>
    pouredStructure(context.role('builder'), build.apex_um, context.nail.plate.free_edge_mm >= ROD_FROM_MM),
});
