import { NONE } from '../../simulate/field';
import { isSolid } from '../../simulate/layers';
import type { FindingDraft } from '../finding';
import { granted, type NailRule } from '../rule';

/** Foil that is to cover so much of its part is meant to be full. */
const FULL = 0.8;

/** Foil takes in full on a gel made for it; on any other tack it comes off in patches, which may be meant. */
export const foilPatchy: NailRule = {
  codes: ['foil-patchy'],
  asks: 'Does foil that is to be full lie on a gel made for it?',
  check: (nail) => {
    const { films } = nail.field;
    return films.flatMap((film, at): FindingDraft[] => {
      const { sheet } = film;
      if (!sheet?.takes_on || sheet.whole < FULL) return [];
      const operation = nail.operations.find((one) => one.id === film.operation);
      const cell = film.phase.findIndex((phase) => phase !== NONE);
      if (!operation || cell < 0) return [];
      const below = films.slice(0, at).findLast((one) => isSolid(one) && one.phase[cell] !== NONE);
      const made = below?.product && nail.context.product(below.product);
      if (made && made.family === sheet.takes_on) return [];
      const gel = nail.set.kit.products.find(({ family }) => family === sheet.takes_on);
      return [
        {
          severity: 'warn',
          operation: operation.id,
          element: operation.element,
          message: 'The foil will take in patches: what it is rubbed onto is no gel for foil.',
          reason:
            'A gel for foil is tacky all over once it is cured; any other sticky layer is thin, and wiped away in places by the first rub.',
          tries: gel ? granted(nail, operation.element, 'foil-gel', { product: gel.id }) : [],
        },
      ];
    });
  },
};
