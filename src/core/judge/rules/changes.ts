import type { NailRule } from '../rule';
import type { FindingDraft } from '../finding';
import { changedElement, lookOf } from '../../document/nailContext';

/** A nail's own changes must still find their element and fit it. */
export const changes: NailRule = {
  codes: ['change-lost', 'change-misfit'],
  asks: "Do this nail's own changes still fit its look?",
  check: ({ set, context, name }) =>
    context.nail.changes.flatMap((change): FindingDraft[] => {
      const fix = {
        words: 'Drop this change',
        change: { kind: 'clear-nail-change' as const, nail: name, element: change.element },
      };
      const element = lookOf(set, context.nail)?.elements.find((one) => one.id === change.element);
      if (!element) {
        return [
          {
            code: 'change-lost',
            severity: 'note' as const,
            element: change.element,
            message: `This nail changes "${change.element}", which its look does not have.`,
            reason: 'The change waits for that element and does nothing until it is back.',
            fix,
          },
        ];
      }
      if (changedElement(element, change)) return [];
      return [
        {
          code: 'change-misfit',
          severity: 'warn' as const,
          element: change.element,
          message: `This nail's change to "${change.element}" does not fit it and is left out.`,
          reason: 'An option has a value that the technique does not know.',
          fix,
        },
      ];
    }),
};
