import { rowOf } from '../../craft/surfaces';
import type { Operation } from '../../craft/operation';
import type { FindingDraft } from '../finding';
import type { NailRule } from '../rule';

/** What is put on a finger for the work, a form or a mould, goes on before it comes off, and does come off. */
export const worn: NailRule = {
  codes: ['off-before-on', 'left-on'],
  asks: 'Does every form and mould go on, and come off again?',
  check: ({ operations }) => {
    let on: Operation | undefined;
    const findings: FindingDraft[] = [];
    for (const operation of operations) {
      const { wears } = rowOf(operation.verb);
      if (wears === true) on = operation;
      if (wears !== false) continue;
      if (!on)
        findings.push({
          code: 'off-before-on',
          severity: 'stop',
          operation: operation.id,
          element: operation.element,
          message: `“${operation.words}” comes before there is anything to take off.`,
          reason: 'What the extension is built on would come after the building.',
        });
      on = undefined;
    }
    if (on)
      findings.push({
        code: 'left-on',
        severity: 'stop',
        operation: on.id,
        element: on.element,
        message: `“${on.words}”: it is never taken off.`,
        reason: 'The nail would leave with it on the finger.',
      });
    return findings;
  },
};
