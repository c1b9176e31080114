import * as z from 'zod/mini';
import { um } from '../../model/primitives';
import { BUILD_BASE, defineBuild } from '../build';
import { onPart, pouredStructure } from '../structures';
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
  /** Where the builder lies: all over, or only where the nail wants it. Over pieces and over art it lies all over. */
  part: z.enum(['whole', 'outer-half', 'stress-area']),
});

/** Parts of the nail as shares of the way: 1 is where the bed ends (common practice: nails break there). */
const PARTS = {
  'outer-half': { from: 0.5, to: 2, words: 'on the outer half' },
  'stress-area': { from: 0.65, to: 1.35, words: 'over the stress area' },
} as const;

/** A free edge this long curls in under the lamp unless it is held (common practice). */
const ROD_FROM_MM = 5;

/** Builder gel over the natural nail: strength where it bends, on the wearer's own length. */
export const builderOverlay = defineBuild({
  kind: 'natural-builder',
  words: 'Builder over the natural nail',
  blurb: 'The wearer’s own length, made strong: an apex over the stress area, filed even.',
  schema,
  was: { 20: (build) => ({ ...build, part: 'whole' }) },
  fields: [
    overBase.field,
    ART_FIELD,
    numberField(schema, 'apex_um', 'Builder at the apex'),
    {
      kind: 'choice',
      path: 'part',
      words: 'Builder lies',
      choices: [
        { value: 'whole', words: 'All over' },
        { value: 'outer-half', words: 'On the outer half' },
        { value: 'stress-area', words: 'Over the stress area' },
      ],
    },
  ],
  fresh: (id) => ({
    id,
    kind: 'natural-builder' as const,
    name: 'Builder overlay',
    shape: 'oval' as const,
    base: 'coat' as const,
    art: 'over' as const,
    apex_um: 450,
    part: 'whole' as const,
  }),
  free_mm: (_build, plate) => plate.free_edge_mm,
  edge: 'plate',
  seats: ['under', 'inside', 'surface', 'over'],
  films: artSits,
  stages: (build, context) => overBase.stages(build.base, context, 'Builder grips the base, not the plate.'),
  structure: (build, context) => {
    const rod = context.nail.plate.free_edge_mm >= ROD_FROM_MM;
    const whole = pouredStructure(context.role('builder'), build.apex_um, rod);
    if (build.part === 'whole' || build.art === 'under' || context.inlaid) return whole;
    const { words, from, to } = PARTS[build.part];
    return onPart(whole, { kind: 'band', from, to }, words);
  },
});
