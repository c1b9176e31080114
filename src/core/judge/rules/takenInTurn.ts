import type { FindingDraft } from '../finding';
import { granted, type NailRule } from '../rule';

/** Powders for a marble are taken up side by side; upright or sprinkled, one lies over the other. */
export const takenInTurn: NailRule = {
  codes: ['tray-in-turn'],
  asks: 'Are the powders of a marble taken up face down?',
  check: (nail) =>
    nail.operations.flatMap(({ id, element, paint, pass }): FindingDraft[] =>
      paint?.kind !== 'marble' || !paint.in_turn || pass > 1
        ? []
        : [
            {
              severity: 'warn',
              operation: id,
              element,
              message: 'The powders are taken up one over the other: the marble of the tray is lost.',
              reason:
                'Laid face down, the nail takes all colours at once, as they lie; dipped upright or sprinkled, the first to touch it holds and the next covers it.',
              tries: granted(nail, element, 'taken-whole', {}),
            },
          ],
    ),
};
