import type { Compiled } from '../compile/compile';
import { STICKY_OFF, wipeDraft } from '../craft/drafts';
import { CAUTIONS } from '../craft/handwork';
import { parseOperationId, type Operation } from '../craft/operation';
import type { HandWipe } from '../timing/problem';

/**
 * A nail's operations with the wipes that the sitting adds: a hand is wiped so that another nail of it can be
 * filed. Each is an operation like any other, simulated and judged.
 */
export function withHandWipes({ operations, context }: Compiled, wipes: readonly HandWipe[]): Operation[] {
  const own = new Map(
    wipes.filter((wipe) => wipe.nail === context.name).map((wipe) => [wipe.after, wipe.operation]),
  );
  if (own.size === 0) return operations;
  return operations.flatMap((operation) => {
    const id = own.get(operation.id);
    return id === undefined ? [operation] : [operation, handWipe(operation, id)];
  });

  function handWipe(after: Operation, id: string): Operation {
    const draft = wipeDraft(
      context,
      'wipe-hand',
      `${STICKY_OFF}: dust of this hand’s filing would stick`,
      'Dust from the nail beside it would stick to what is sticky.',
    );
    return {
      ...draft,
      guide_s: draft.hand_s,
      id,
      nail: context.name,
      element: 'prep',
      stage: after.stage,
      pass: parseOperationId(id)!.pass,
      class: `${draft.verb}:${draft.product}`,
      caution: CAUTIONS.wipe!,
    };
  }
}
