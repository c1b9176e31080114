import { rowOf } from '../../craft/surfaces';
import type { NailRule } from '../rule';

/** Work that was left out and that no later surface tells of: the table says what a nail is worse for. */
export const missedWork: NailRule = {
  codes: ['work-left-out'],
  asks: 'Is any work left out that the nail will tell of only after days?',
  check: ({ compiled, operations }) =>
    compiled.skipped.flatMap((left) => {
      const missed = left.missed ?? rowOf(left.verb).missed;
      const done = left.missed === undefined && operations.some((one) => one.verb === left.verb);
      if (!missed || done) return [];
      return [
        {
          severity: missed.grave ? ('stop' as const) : ('warn' as const),
          operation: left.id,
          element: left.element,
          message: `“${left.words}” is left out.`,
          reason: missed.words,
          fix: {
            words: `Do “${left.words}” after all`,
            change: { kind: 'remove-edit' as const, edit: { kind: 'skip' as const, a: left.id } },
          },
        },
      ];
    }),
};
