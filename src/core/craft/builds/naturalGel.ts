import * as z from 'zod/mini';
import { BUILD_BASE, defineBuild } from '../build';
import { overBase } from './overBase';

const schema = z.strictObject({
  ...BUILD_BASE,
  kind: z.literal('natural-gel'),
  /** Two-stage colour goes straight on the prepared plate. */
  base: z.enum(['coat', 'peel-off', 'handmade', 'none']),
});

/** Gel polish on the natural nail. It has no body until something is encapsulated; that clear is then the body. */
export const naturalGel = defineBuild({
  kind: 'natural-gel',
  words: 'Gel polish on the natural nail',
  blurb: "The wearer's own length, filed to shape.",
  schema,
  fields: [overBase.fieldWith({ value: 'none', words: 'None, for two-stage colour' })],
  fresh: (id) => ({
    id,
    kind: 'natural-gel' as const,
    name: 'Natural',
    shape: 'round' as const,
    base: 'coat' as const,
  }),
  free_mm: (_build, plate) => plate.free_edge_mm,
  edge: 'plate',
  worn: { from_days: 14, to_days: 21, then: 'taken off, or renewed' },
  seats: ['under', 'inside', 'surface', 'over'],
  stages: (build, context) => {
    return overBase.stages(
      build.base,
      context,
      'Thin, short of the skin, and run over the tip: colour peels on a bare plate.',
    );
  },
});
