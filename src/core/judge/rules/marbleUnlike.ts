import type { Marble } from '../../craft/matter';
import { nailWords } from '../../model/names';
import type { Operation } from '../../craft/operation';
import type { FindingDraft } from '../finding';
import type { SetRule } from '../rule';

/** Nails of one look come from one batch: where one of them is mixed otherwise, it is seen beside the others. */
export const marbleUnlike: SetRule = {
  codes: ['marble-unlike'],
  asks: 'Do the marbles of one look come from one batch?',
  check: ({ set, operations }) => {
    const first = new Map<string, Operation>();
    const told = new Set<string>();
    return operations.flatMap((operation): FindingDraft[] => {
      const { nail, element, paint, id } = operation;
      if (paint?.kind !== 'marble') return [];
      const key = `${set.nails[nail].look}/${element}`;
      const other = first.get(key);
      if (!other) first.set(key, operation);
      if (!other || told.has(nail + key) || batchOf(paint) === batchOf(other.paint as Marble)) return [];
      told.add(nail + key);
      return [
        {
          severity: 'note',
          nail,
          operation: id,
          element,
          message: `This marble is mixed otherwise than that of the ${nailWords(other.nail)}.`,
          reason: 'What is mixed anew never comes out alike; nails of one look are laid from one batch.',
          tries: [
            {
              words: 'Take it from the same batch',
              change: { kind: 'clear-nail-change', nail, element },
            },
          ],
        },
      ];
    });
  },
};

/** What is poured of each, and how far it is mixed. */
function batchOf({ parts, mixed }: Marble): string {
  return JSON.stringify([parts, mixed]);
}
