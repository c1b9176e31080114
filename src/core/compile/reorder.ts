import type { Change } from '../document/changes';
import type { Edit } from '../document/edits';
import { operationId, type Operation } from '../craft/operation';

/**
 * The change that moves one operation to another place in a nail's order: a statement of where it stands, in
 * place of what was said about it before. Undefined where nothing moves.
 */
export function moveChange(
  operations: readonly Operation[],
  from: number,
  to: number,
  edits: readonly Edit[],
): Change | undefined {
  const moved = operations[from];
  if (!moved || from === to || to < 0 || to >= operations.length) return undefined;
  const edit: Edit = {
    kind: 'move',
    a: moved.id,
    side: to > from ? 'after' : 'before',
    b: operations[to]!.id,
  };
  // What was said about this step before, and any statement its new place would break, is said anew.
  const order = operations.map((one) => one.id);
  order.splice(to, 0, ...order.splice(from, 1));
  const stale = edits.filter(
    (one) =>
      (one.kind === 'move' && one.a === moved.id) ||
      (one.kind === 'before' && one.a === moved.id) ||
      (one.kind === 'before' && order.indexOf(one.a) > order.indexOf(one.b) && order.includes(one.b)) ||
      (one.kind === 'hold' && one.a === moved.id),
  );
  return {
    kind: 'many',
    changes: [
      ...stale.map((one): Change => ({ kind: 'remove-edit', edit: one })),
      { kind: 'add-edit', edit },
    ],
  };
}

/** The edits that speak about an operation. */
export function editsAbout(edits: readonly Edit[], id: string): Edit[] {
  return edits.filter((edit) =>
    edit.kind === 'before' || edit.kind === 'move'
      ? edit.a === id || edit.b === id
      : edit.kind === 'insert'
        ? edit.after === id || operationId(edit.nail, 'own', edit.id, 1) === id
        : edit.a === id,
  );
}
