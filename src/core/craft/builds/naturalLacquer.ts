import * as z from 'zod/mini';
import { BUILD_BASE, defineBuild } from '../build';
import { baseDraft } from '../drafts';
import { primePlate } from '../primePlate';
import { clearPlate } from './prep';

const schema = z.strictObject({ ...BUILD_BASE, kind: z.literal('natural-lacquer') });

/** Air-dry lacquer: no lamp, no primer, the plate keeps its shine; each coat dries before the next. */
export const naturalLacquer = defineBuild({
  kind: 'natural-lacquer',
  words: 'Air-dry lacquer on the natural nail',
  blurb: 'Base, colour and top that dry by themselves: no lamp, and off again with remover.',
  schema,
  fields: [],
  fresh: (id) => ({ id, kind: 'natural-lacquer' as const, name: 'Lacquer', shape: 'round' as const }),
  free_mm: (_build, plate) => plate.free_edge_mm,
  edge: 'plate',
  worn: { from_days: 4, to_days: 7, then: 'taken off with remover' },
  seats: ['under', 'inside', 'surface', 'over'],
  roles: { base: 'lacquer_base', top: 'lacquer_top', matte_top: 'lacquer_top' },
  stages: (_build, context) => {
    const { arrive, prepare } = clearPlate(context, `File the free edge ${context.frame.shape}`);
    return {
      arrive,
      // Lacquer comes off with remover: nothing is gained by taking the plate's shine.
      prepare: [...prepare.filter((draft) => draft.verb !== 'buff'), ...primePlate(context, 'never')],
      foundation: baseDraft(context, 'Thin and run over the tip: colour stains a bare plate.'),
    };
  },
});
