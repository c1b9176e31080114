import type { Compiled } from '../compile/compile';
import { wipeDraft } from '../craft/drafts';
import { CAUTIONS } from '../craft/handwork';
import type { Operation } from '../craft/operation';
import { handWipeId, type HandWipe } from '../timing/problem';

/**
 * A nail's operations with the wipes that the sitting adds: a hand is wiped so that another nail of it can be
 * filed. Each is an operation like any other, simulated and judged.
 */
export function withHandWipes({ operations, context }: Compiled, wipes: readonly HandWipe[]): Operation[] {
  const own = wipes.filter((wipe) => wipe.nail === context.name);
  if (own.length === 0) return operations;
  let pass = 0;
  return operations.flatMap((operation) =>
    own.some((wipe) => wipe.after === operation.id)
      ? [operation, handWipe(operation, (pass += 1))]
      : [operation],
  );

  function handWipe(after: Operation, count: number): Operation {
    const draft = wipeDraft(
      context,
      'wipe-hand',
      'So that a nail beside it can be filed: dust sticks to what is sticky.',
      undefined,
      'Wipe the sticky layer off, for the file beside it',
    );
    return {
      ...draft,
      id: handWipeId(context.name, count),
      nail: context.name,
      element: 'prep',
      stage: after.stage,
      pass: count,
      class: `${draft.verb}:${draft.product}`,
      caution: CAUTIONS.wipe!,
    };
  }
}
