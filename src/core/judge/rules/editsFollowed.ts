import { parseOperationId, RESERVED_ELEMENTS } from '../../craft/operation';
import { editNail, isAcrossNails, pointers } from '../../document/edits';
import type { EditFault } from '../../compile/followEdits';
import { NAILS, nailWords, type NailName } from '../../model/names';
import type { FindingDraft } from '../finding';
import type { NailRule, SetRule } from '../rule';

interface Words {
  code: 'edit-lost' | 'edit-circle';
  severity: 'warn' | 'note';
  says: (step: string) => string;
  reason: string;
}

const WORDS: Record<EditFault['kind'], Words> = {
  circle: {
    code: 'edit-circle',
    severity: 'warn',
    says: () => 'Two changes to the order contradict each other; the later one is left out.',
    reason: 'A step cannot come both before and after another.',
  },
  'points-nowhere': {
    code: 'edit-lost',
    severity: 'note',
    says: (step) => `A change to the order is about the ${step}, which is not there.`,
    reason: 'It does nothing until that step is back; drop it if it is not meant any more.',
  },
  'id-twice': {
    code: 'edit-lost',
    severity: 'warn',
    says: (step) => `Two inserted steps are both called ${step}; the second is left out.`,
    reason: 'Each step needs a name of its own, or nothing could be said about it.',
  },
  'follows-left-out': {
    code: 'edit-lost',
    severity: 'note',
    says: (step) => `An inserted step follows the ${step}, which is left out; it stands where that would.`,
    reason: 'It may have lost its point with the step it belongs to.',
  },
  'follows-later': {
    code: 'edit-lost',
    severity: 'note',
    says: (step) => `An inserted step follows the ${step}, which is inserted only after it is named.`,
    reason: 'It stands right after that step; said in the other order the list reads as it is done.',
  },
  'other-nail': {
    code: 'edit-lost',
    severity: 'warn',
    says: (step) => `A step is inserted after the ${step}, which is another nail; it is left out.`,
    reason: 'An inserted step follows a step of its own nail.',
  },
};

/** Edits that point at nothing any more, that contradict each other, or that cannot be read as they stand. */
export const editsFollowed: NailRule = {
  codes: ['edit-lost', 'edit-circle'],
  asks: 'Could every change to the order be followed?',
  check: ({ compiled }) => compiled.editFaults.map(told),
};

function told({ edit, kind, missing }: EditFault): FindingDraft {
  const words = WORDS[kind];
  return {
    code: words.code,
    severity: words.severity,
    message: words.says(stepWords(missing ?? '')),
    reason: words.reason,
    fix: { words: 'Drop this change', change: { kind: 'remove-edit', edit } },
  };
}

/** Edits on nails that no hand has, and statements across two nails that cannot be kept. */
export const editsAcross: SetRule = {
  codes: ['edit-nowhere', 'edit-circle-across'],
  asks: 'Is every change to the order about nails of this set, and possible between them?',
  check: ({ set, operations, circular }) => {
    const known = new Set(operations.map((one) => one.id));
    return set.edits.flatMap((edit): FindingDraft[] => {
      const fix = { words: 'Drop this change', change: { kind: 'remove-edit' as const, edit } };
      if (!(NAILS as readonly string[]).includes(editNail(edit))) {
        return [
          {
            code: 'edit-nowhere',
            severity: 'warn',
            message: `A change to the order is about "${editNail(edit)}", which is no nail.`,
            reason: 'It does nothing: nails are called left or right, thumb to little.',
            fix,
          },
        ];
      }
      if (edit.kind === 'insert' || !isAcrossNails(edit)) return [];
      const missing = pointers(edit).find((id) => !known.has(id));
      const circle = circular.includes(edit);
      if (!missing && !circle && edit.kind === 'before') return [];
      return [
        {
          code: circle ? 'edit-circle-across' : 'edit-nowhere',
          severity: circle ? 'warn' : 'note',
          nail: editNail(edit) as NailName,
          message: circle
            ? 'A statement across two nails contradicts their own order; it is left out.'
            : missing
              ? `A statement across two nails is about the ${stepWords(missing)}, which is not done.`
              : 'A step can be moved only among the steps of its own nail.',
          reason: 'It does nothing until both steps are there and can be done in that order.',
          fix,
        },
      ];
    });
  },
};

/** A step that is not there, in words: what of it, of which element, and on which nail. */
function stepWords(id: string): string {
  const parts = parseOperationId(id);
  if (!parts) return id;
  const nail = (NAILS as readonly string[]).includes(parts.nail)
    ? nailWords(parts.nail as NailName)
    : parts.nail;
  const step = parts.step.replaceAll('-', ' ');
  const pass = parts.pass > 1 ? ` ${parts.pass}` : '';
  const of = (RESERVED_ELEMENTS as readonly string[]).includes(parts.element) ? '' : ` of “${parts.element}”`;
  return `${step}${pass}${of} on the ${nail}`;
}
