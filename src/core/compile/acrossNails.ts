import { isHeldAfter, type Operation } from '../craft/operation';
import { isAcrossNails, type Edit } from '../document/edits';
import type { SetDocument } from '../document/document';
import { lineUp, type Edge } from './lineUp';

/** `first` is done before `then`, whichever nails they belong to. */
export interface Precedence {
  first: string;
  then: string;
}

/** Operations numbered through; what is held after another is one with it. */
function numbered(chains: readonly (readonly Operation[])[]): Map<string, number> {
  const index = new Map<string, number>();
  let count = 0;
  for (const chain of chains)
    chain.forEach((operation, i) => {
      if (!isHeldAfter(chain[i - 1], operation)) count += 1;
      index.set(operation.id, count - 1);
    });
  return index;
}

/** Each nail's own order as edges between its operations, by their number. */
function inTurn(chains: readonly (readonly Operation[])[], index: ReadonlyMap<string, number>): Edge[] {
  return chains.flatMap((chain) =>
    chain.slice(1).flatMap((operation, i) => {
      const [first, then] = [index.get(chain[i]!.id)!, index.get(operation.id)!];
      return first === then ? [] : [{ first, then }];
    }),
  );
}

/**
 * The artist's statements that order the work of two nails, as far as they can be kept beside each nail's own
 * order; those that would close a circle are handed back.
 */
export function acrossNails(
  set: SetDocument,
  chains: readonly (readonly Operation[])[],
): { precedences: Precedence[]; circular: Edit[] } {
  const across = set.edits.filter((edit) => edit.kind === 'before' && isAcrossNails(edit));
  const precedences: Precedence[] = [];
  const circular: Edit[] = [];
  if (across.length === 0) return { precedences, circular };
  const index = numbered(chains);
  let edges = inTurn(chains, index);
  for (const edit of across) {
    if (edit.kind !== 'before') continue;
    const first = index.get(edit.a);
    const then = index.get(edit.b);
    if (first === undefined || then === undefined) continue;
    const next = [...edges, { first, then }];
    if (first === then || !lineUp(index.size, next)) {
      circular.push(edit);
      continue;
    }
    edges = next;
    precedences.push({ first: edit.a, then: edit.b });
  }
  return { precedences, circular };
}
