import { settingOf, lampOf } from '../craft/families';
import type { Operation } from '../craft/operation';
import type { Edit } from '../document/edits';
import { isAcrossNails, pointers } from '../document/edits';
import type { Product } from '../model/product';
import { lineUp, type Edge } from './lineUp';

/** An edit that could not be followed as it stands, and why. */
export interface EditFault {
  edit: Edit;
  kind: 'points-nowhere' | 'circle' | 'id-twice' | 'follows-left-out' | 'follows-later' | 'other-nail';
  missing?: string;
}

export interface Followed {
  operations: Operation[];
  /** Left out by the artist; kept to be named and brought back. */
  skipped: Operation[];
  /** The whole order, with what is left out in the place where it would stand: ids. */
  order: string[];
  faults: EditFault[];
}

interface Craft {
  product: (id: string) => Product;
  /** An operation made of an insert. */
  inserted: (edit: Extract<Edit, { kind: 'insert' }>) => Operation;
  /** Whether two operations work on a common part of the nail. */
  touch: (a: Operation, b: Operation) => boolean;
}

/**
 * Follows a nail's edits on its complete order: skips leave, inserts come in, moves move. What is left out
 * keeps its place until the end, so that no edit depends on whether another step is there; nothing moves that
 * no edit names.
 */
export function followEdits(line: readonly Operation[], edits: readonly Edit[], craft: Craft): Followed {
  const faults: EditFault[] = [];
  const gone = new Set(edits.flatMap((edit) => (edit.kind === 'skip' ? [edit.a] : [])));
  const came = comeIn(line, edits, gone, craft, faults);
  let { list } = came;
  const work: Moving = { ...craft, follows: came.anchors };
  const known = new Set(list.map((one) => one.id));
  const kept: Extract<Edit, { kind: 'before' }>[] = [];
  for (const edit of edits) {
    if (edit.kind === 'insert' || isAcrossNails(edit)) continue;
    const missing = pointers(edit).find((id) => !known.has(id));
    if (missing) {
      faults.push({ edit, kind: 'points-nowhere', missing });
      continue;
    }
    if (edit.kind === 'hold') list = held(list, edit.a, work);
    if (edit.kind !== 'before' && edit.kind !== 'move') continue;
    if (edit.a === edit.b) {
      faults.push({ edit, kind: 'circle' });
      continue;
    }
    const next =
      edit.kind === 'before'
        ? isBefore(list, edit.a, edit.b)
          ? list
          : moved(list, edit.a, 'before', edit.b, work)
        : moved(list, edit.a, edit.side, edit.b, work);
    if (edit.kind === 'before') kept.push(edit);
    if (kept.every((one) => isBefore(next, one.a, one.b))) {
      list = next;
      continue;
    }
    // A move along with its cure can cross an older statement: then only what the statements need moves.
    const strict = edit.kind === 'before' ? strictly(list, kept) : undefined;
    if (strict) list = strict;
    else {
      faults.push({ edit, kind: 'circle' });
      if (edit.kind === 'before') kept.pop();
    }
  }
  return {
    operations: list.filter((one) => !gone.has(one.id)),
    skipped: list.filter((one) => gone.has(one.id)),
    order: list.map((one) => one.id),
    faults,
  };
}

interface Moving extends Craft {
  /** What was put in by hand, and the operation each follows. */
  follows: ReadonlyMap<string, string>;
}

/** The order with the artist's insertions, each right after its step and after what was inserted there before. */
function comeIn(
  line: readonly Operation[],
  edits: readonly Edit[],
  gone: ReadonlySet<string>,
  craft: Craft,
  faults: EditFault[],
): { list: Operation[]; anchors: Map<string, string> } {
  const list = [...line];
  const anchors = new Map<string, string>();
  let waiting = edits.flatMap((edit) => (edit.kind === 'insert' ? [edit] : []));
  const later = new Set<Edit>();
  while (waiting.length > 0) {
    const left: typeof waiting = [];
    for (const edit of waiting) {
      const made = craft.inserted(edit);
      if (!edit.after.startsWith(`${edit.nail}/`)) {
        faults.push({ edit, kind: 'other-nail', missing: edit.after });
        continue;
      }
      if (list.some((one) => one.id === made.id)) {
        faults.push({ edit, kind: 'id-twice', missing: made.id });
        continue;
      }
      let at = list.findIndex((one) => one.id === edit.after);
      if (at < 0) {
        left.push(edit);
        continue;
      }
      if (gone.has(edit.after)) faults.push({ edit, kind: 'follows-left-out', missing: edit.after });
      else if (later.has(edit)) faults.push({ edit, kind: 'follows-later', missing: edit.after });
      while (list[at + 1] && anchors.get(list[at + 1]!.id) === edit.after) at += 1;
      list.splice(at + 1, 0, made);
      anchors.set(made.id, edit.after);
    }
    if (left.length === waiting.length) {
      for (const edit of left) faults.push({ edit, kind: 'points-nowhere', missing: edit.after });
      break;
    }
    for (const edit of left) later.add(edit);
    waiting = left;
  }
  return { list, anchors };
}

function isBefore(list: readonly Operation[], a: string, b: string): boolean {
  return list.findIndex((one) => one.id === a) < list.findIndex((one) => one.id === b);
}

/** The order with one operation, and the flash and cure that make it hold, right before or after another. */
function moved(
  list: readonly Operation[],
  a: string,
  side: 'before' | 'after',
  b: string,
  work: Moving,
): Operation[] {
  const from = list.findIndex((one) => one.id === a);
  let count = withFollowers(list, from, blockLength(list, from, work), work);
  const target = list.findIndex((one) => one.id === b);
  // A step moved among its own flash and cure moves alone.
  if (target > from && target < from + count) count = 1;
  const block = list.slice(from, from + count);
  const rest = [...list.slice(0, from), ...list.slice(from + count)];
  const at = rest.findIndex((one) => one.id === b) + (side === 'after' ? 1 : 0);
  return [...rest.slice(0, at), ...block, ...rest.slice(at)];
}

/** How many operations from this one on belong together: a film, what is set into it, and its flash and cure. */
function blockLength(list: readonly Operation[], from: number, craft: Craft): number {
  const first = list[from]!;
  const product = first.product ? craft.product(first.product) : undefined;
  const hardens =
    product !== undefined && (lampOf(product) !== undefined || settingOf(product) !== undefined);
  if (!first.deposit || first.deposit.kind === 'pieces' || !hardens) return 1;
  let length = 1;
  for (let i = from + 1; i < list.length; i += 1) {
    const one = list[i]!;
    // The next film of the same element is a coat of its own.
    if (one.element === first.element && one.deposit && one.deposit.kind !== 'pieces') break;
    if (one.element === first.element && (one.lamp || (one.verb === 'rest' && one.stage === first.stage))) {
      length = i - from + 1;
      if (one.lamp?.mode !== 'flash') break;
    }
  }
  return length;
}

/** The same with what was put in by hand after any of them, as long as it still stands there. */
function withFollowers(list: readonly Operation[], from: number, count: number, { follows }: Moving): number {
  const block = new Set(list.slice(from, from + count).map((one) => one.id));
  let to = from + count;
  while (to < list.length && block.has(follows.get(list[to]!.id) ?? '')) {
    block.add(list[to]!.id);
    to += 1;
  }
  return to - from;
}

/** The order with an operation as late as nothing that works on the same part of the nail is passed. */
function held(list: readonly Operation[], a: string, work: Moving): Operation[] {
  const from = list.findIndex((one) => one.id === a);
  const count = withFollowers(list, from, blockLength(list, from, work), work);
  const block = list.slice(from, from + count);
  let to = from + count;
  while (
    to < list.length &&
    list[to]!.stage !== 'care' &&
    block.every((one) => one.element !== list[to]!.element && !work.touch(one, list[to]!))
  ) {
    to += 1;
  }
  return [...list.slice(0, from), ...list.slice(from + count, to), ...block, ...list.slice(to)];
}

/** The order nearest to the list that keeps every statement; undefined where they contradict each other. */
function strictly(
  list: readonly Operation[],
  kept: readonly Extract<Edit, { kind: 'before' }>[],
): Operation[] | undefined {
  const index = new Map(list.map((one, i) => [one.id, i]));
  const edges = kept.map((one): Edge => ({ first: index.get(one.a)!, then: index.get(one.b)! }));
  return lineUp(list.length, edges)?.map((i) => list[i]!);
}
