import { isSelfEdged } from '../../geometry/profiles';
import type { FindingDraft } from '../finding';
import { granted, type NailRule } from '../rule';

/** What stands up by more catches in hair and pockets (common practice). */
const MOST_UM = 900;

/** Relief that stands too high for every day. */
export const reliefHigh: NailRule = {
  codes: ['relief-high'],
  asks: 'Does relief stand no higher than a hand gets by with?',
  check: (nail) => {
    const told = new Set<string>();
    return nail.operations.flatMap(({ id, element }): FindingDraft[] => {
      if (told.has(element)) return [];
      const raised = nail.field.films.filter(
        (film) => film.profile && isSelfEdged(film.profile) && film.operation.includes(`/${element}/`),
      );
      if (raised.length === 0) return [];
      told.add(element);
      const height_um = raised.reduce((sum, film) => sum + (film.full_um ?? 0), 0);
      if (height_um <= MOST_UM) return [];
      return [
        {
          severity: 'warn',
          operation: id,
          element,
          message: 'The relief stands high: it catches.',
          reason: 'What stands up like a ridge is a lever at every pocket and in every hair.',
          figure: {
            words: 'stands up',
            value: Math.round(height_um),
            limit: MOST_UM,
            is: 'at most',
            unit: 'µm',
          },
          tries: granted(nail, element, 'lie-lower', {}),
        },
      ];
    });
  },
};
