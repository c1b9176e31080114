import type { SetRule } from '../rule';

/**
 * A sitting holds every piece of work of every nail, and is no shorter than can be. Where it is not so the program
 * has failed, and says so: nobody should work from half a card.
 */
export const sittingWhole: SetRule = {
  codes: ['work-without-place', 'under-its-bound'],
  asks: 'Has all the work a place in the sitting?',
  check: ({ sitting, bound_s, operations }) => {
    const missing = new Set(sitting.missing);
    const left = operations.filter((one) => missing.has(one.id));
    const [first] = left;
    if (first)
      return [
        {
          code: 'work-without-place',
          severity: 'stop',
          nail: first.nail,
          operation: first.id,
          message:
            left.length === 1
              ? `“${first.words}” has found no place in the sitting.`
              : `“${first.words}” and ${left.length - 1} more steps have found no place in the sitting.`,
          reason:
            'The times and the card are not whole: this is a fault of the program. Take the last change to the order back.',
        },
      ];
    if (sitting.total_s >= bound_s - SLACK_S) return [];
    return [
      {
        code: 'under-its-bound',
        severity: 'stop',
        message: 'The sitting comes out shorter than its own work takes.',
        reason: 'Something is left out of it: this is a fault of the program. Do not work from this card.',
      },
    ];
  },
};

/** Seconds are rounded. */
const SLACK_S = 0.01;
