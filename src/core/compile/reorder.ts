import type { Change } from '../document/changes';
import type { Edit } from '../document/edits';
import type { Operation } from '../craft/operation';

/**
 * The change that moves one operation to another place in a nail's order: a statement against its new
 * neighbour, in place of what was said about it before. Undefined where nothing moves.
 */
export function moveChange(
  operations: readonly Operation[],
  from: number,
  to: number,
  edits: readonly Edit[],
): Change | undefined {
  const moved = operations[from];
  if (!moved || from === to || to < 0 || to >= operations.length) return undefined;
  const neighbour = operations[to]!;
  const edit: Edit =
    to > from
      ? { kind: 'before', a: neighbour.id, b: moved.id }
      : { kind: 'before', a: moved.id, b: neighbour.id };
  const stale = edits.filter((one) => one.kind === 'before' && (one.a === moved.id || one.b === moved.id));
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
    edit.kind === 'before'
      ? edit.a === id || edit.b === id
      : edit.kind === 'insert'
        ? edit.after === id
        : edit.a === id,
  );
}
