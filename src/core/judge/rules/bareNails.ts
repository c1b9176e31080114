import type { SetRule } from '../rule';
import { NAILS, nailWords } from '../../model/names';

/** A nail that carries nothing beside dressed ones looks unfinished (from memory). */
export const bareNails: SetRule = {
  codes: ['no-look'],
  asks: 'Does every nail wear something?',
  check: ({ set }) => {
    const worked = NAILS.filter((nail) => set.nails[nail].in_work);
    const bare = worked.filter((nail) => set.nails[nail].look === null);
    if (bare.length === 0 || bare.length === worked.length) return [];
    return bare.map((nail) => ({
      severity: 'note' as const,
      nail,
      message: `The ${nailWords(nail)} wears no look yet: base and gloss only.`,
      reason: 'One plain nail beside dressed ones looks unfinished.',
    }));
  },
};
