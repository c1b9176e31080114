import type { FindingDraft } from '../finding';
import { granted, type NailRule } from '../rule';

/** A magnet held further off than it reaches leaves the shimmer where it fell. */
export const magnetWeak: NailRule = {
  codes: ['magnet-weak'],
  asks: 'Is the magnet held as near as it reaches?',
  check: (nail) =>
    nail.operations.flatMap(({ id, element, pulls }): FindingDraft[] =>
      !pulls || pulls.from_mm <= pulls.reach_mm
        ? []
        : [
            {
              severity: 'warn',
              operation: id,
              element,
              message: 'The magnet is too weak for so far off: the shimmer stays where it fell.',
              reason:
                'What a magnet does falls quickly with each millimetre; a weak one is held right over the gel.',
              figure: {
                words: 'held off',
                value: pulls.from_mm,
                limit: pulls.reach_mm,
                is: 'at most',
                unit: 'mm',
              },
              tries: granted(nail, element, 'nearer-magnet', { reach_mm: pulls.reach_mm }),
            },
          ],
    ),
};
