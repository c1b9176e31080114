import type { SetRule } from '../rule';
import { lookOf } from '../../document/nailContext';
import { NAILS, nailWords } from '../../model/names';

/** A nail that carries nothing beside dressed ones looks unfinished (from memory). */
export const bareNails: SetRule = {
  codes: ['no-look'],
  asks: 'Does every nail wear something?',
  check: ({ set }) => {
    const worked = NAILS.filter((nail) => set.nails[nail].in_work);
    const bare = worked.filter((nail) => (lookOf(set, set.nails[nail])?.elements.length ?? 0) === 0);
    if (bare.length === 0 || bare.length === worked.length) return [];
    return bare.map((nail) => ({
      severity: 'note' as const,
      nail,
      message: `The ${nailWords(nail)} wears nothing yet: base and gloss only.`,
      reason: 'One plain nail beside dressed ones looks unfinished.',
    }));
  },
};
