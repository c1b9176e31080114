import { lampOf } from '../../craft/families';
import type { Operation } from '../../craft/operation';
import type { FindingDraft } from '../finding';
import type { NailCase, NailRule } from '../rule';

/** A light put in by hand where nothing waits for one: it does no harm but to the clock, and to skin that sees more of it than it must. */
export const lightOnNothing: NailRule = {
  codes: ['light-on-nothing'],
  asks: 'Does every light put in by hand have something to harden?',
  check: (nail) =>
    nail.operations.flatMap((operation, at): FindingDraft[] => {
      if (operation.element !== 'own' || !operation.lamp || waits(nail, at)) return [];
      return [
        {
          severity: 'note',
          operation: operation.id,
          message: `${operation.words}: nothing on the nail waits for light there.`,
          reason: 'What is hard gets no harder; a light more is time, and skin under the lamp for nothing.',
        },
      ];
    }),
};

/** Whether something was laid since the last cure that a lamp hardens. */
function waits({ operations, context }: NailCase, at: number): boolean {
  const before = operations.slice(0, at);
  const cured = before.findLastIndex(({ lamp }) => lamp?.mode === 'cure');
  const laid = ({ deposit, product }: Operation) =>
    deposit !== undefined && product !== undefined && lampOf(context.product(product)) !== undefined;
  return before.slice(cured + 1).some(laid);
}
