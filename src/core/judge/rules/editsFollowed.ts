import type { NailRule } from '../rule';
import { parseOperationId } from '../../craft/operation';

/** Edits that point at nothing any more, or that contradict each other. */
export const editsFollowed: NailRule = {
  codes: ['edit-lost', 'edit-circle'],
  asks: 'Could every change to the order be followed?',
  check: ({ compiled }) =>
    compiled.editFaults.map((fault) => ({
      code: fault.kind === 'circle' ? 'edit-circle' : 'edit-lost',
      severity: fault.kind === 'circle' ? ('warn' as const) : ('note' as const),
      message:
        fault.kind === 'circle'
          ? 'Two changes to the order contradict each other; the later one is left out.'
          : `A change to the order is about "${stepWords(fault.missing!)}", which this nail does not have.`,
      reason:
        fault.kind === 'circle'
          ? 'A step cannot come both before and after another.'
          : 'It does nothing until that step is back; drop it if it is not meant any more.',
      fix: { words: 'Drop this change', change: { kind: 'remove-edit' as const, edit: fault.edit } },
    })),
};

function stepWords(id: string): string {
  const parts = parseOperationId(id);
  return parts ? `${parts.element}, ${parts.step}` : id;
}
