import * as z from 'zod';
import { BUILD_BASE, defineBuild } from '../build';
import { coatOf, cureOf, wholePlace, wipeDraft } from '../context';
import { HAND_S } from '../handwork';
import { prepPlate } from './prep';

const schema = z.strictObject({ ...BUILD_BASE, kind: z.literal('natural-gel') });

/** Gel polish on the natural nail. */
export const naturalGel = defineBuild({
  kind: 'natural-gel',
  words: 'Gel polish on the natural nail',
  blurb: "The wearer's own length, filed to shape.",
  schema,
  fields: [],
  fresh: (id) => ({ id, kind: 'natural-gel' as const, name: 'Natural', shape: 'round' as const }),
  free_mm: (_build, plate) => plate.free_edge_mm,
  edge: 'plate',
  prep: (build, context) => prepPlate(context, `File the free edge ${build.shape}`),
  plan: (_build, context) => {
    const base = context.role('base');
    const place = wholePlace();
    const drafts = [
      {
        step: 'base',
        verb: 'base' as const,
        words: base.name,
        product: base.id,
        place,
        deposit: { kind: 'conformal' as const, t_um: coatOf(base) },
        hand_s: HAND_S.base,
        reason: 'Thin, short of the skin, and run over the tip: colour peels on a bare plate.',
      },
      cureOf(base, coatOf(base), place, 'cure-base'),
    ];
    return context.practice.base === 'wipe'
      ? [...drafts, wipeDraft(context, 'wipe-base', 'Wiped base lifts less, says this school.')]
      : drafts;
  },
});
