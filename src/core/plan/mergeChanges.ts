import type { Change } from '../document/changes';
import type { SetDocument } from '../document/document';
import type { Element } from '../craft/techniques';

/**
 * Several changes as one. Two that put the same element say each what the whole element shall be: only what each
 * of them changes in it is taken, field by field and piece by piece.
 */
export function mergeChanges(set: SetDocument, changes: readonly Change[]): Change {
  const merged: Change[] = [];
  for (const change of changes.flatMap(flat)) {
    const at = merged.findIndex(
      (one) =>
        one.kind === 'put-element' &&
        change.kind === 'put-element' &&
        one.look === change.look &&
        one.element.id === change.element.id,
    );
    const known = merged[at];
    if (known?.kind !== 'put-element' || change.kind !== 'put-element') {
      if (!merged.some((one) => JSON.stringify(one) === JSON.stringify(change))) merged.push(change);
      continue;
    }
    const look = set.looks.find((one) => one.id === change.look);
    const old = look?.elements.find((one) => one.id === change.element.id);
    merged[at] = { ...known, element: merge(old, known.element, change.element) as Element };
  }
  return merged.length === 1 ? merged[0]! : { kind: 'many', changes: merged };
}

function flat(change: Change): Change[] {
  return change.kind === 'many' ? change.changes.flatMap(flat) : [change];
}

/** What `a` and `b` each made of `old`; where both changed the same, `b`. */
function merge(old: unknown, a: unknown, b: unknown): unknown {
  if (JSON.stringify(b) === JSON.stringify(old)) return a;
  if (JSON.stringify(a) === JSON.stringify(old)) return b;
  if (Array.isArray(old) && Array.isArray(a) && Array.isArray(b)) {
    if (a.length !== old.length || b.length !== old.length) return b;
    return old.map((one: unknown, i) => merge(one, a[i], b[i]));
  }
  if (isObject(old) && isObject(a) && isObject(b)) {
    return Object.fromEntries(
      [...new Set([...Object.keys(a), ...Object.keys(b)])].map((key) => [
        key,
        merge(old[key], a[key], b[key]),
      ]),
    );
  }
  return b;
}

function isObject(value: unknown): value is Record<string, unknown> {
  return value !== null && typeof value === 'object' && !Array.isArray(value);
}
