import { difference, goBack, goForward } from '@/core/document/difference';
import type { SetDocument } from '@/core/document/document';
import { parseSet, writeSetText } from '@/core/document/parse';
import type { StoredHistory } from './records';
import type { LaidOver } from './journal';

/** So many steps of undo outlive the page. */
const KEPT_STEPS = 60;

/** What a store holds of a set, with what can be undone and redone from there, and the steps of the journal since. */
export interface Trail {
  from: SetDocument;
  history: Pick<StoredHistory, 'past' | 'future'>;
  steps: LaidOver['steps'];
}

/** Sets that undo and redo lead to, nearest last. */
export interface UndoHistory {
  past: SetDocument[];
  future: SetDocument[];
}

/** What undo and redo lead to, as small differences. */
export function packHistory(
  past: readonly SetDocument[],
  now: SetDocument,
  future: readonly SetDocument[],
): Pick<StoredHistory, 'past' | 'future'> {
  const pastKept = past.slice(-KEPT_STEPS);
  const futureKept = future.slice(-KEPT_STEPS);
  return {
    past: pastKept.map((set, i) => stepBetween(set, pastKept[i + 1] ?? now)),
    future: futureKept.map((set, i) => stepBetween(futureKept[i + 1] ?? now, set)),
  };
}

type Difference = ReturnType<typeof difference>;
const known = new WeakMap<SetDocument, { to: SetDocument; step: Difference }>();

/** Of a history, only the newest step is new to a save; the others were worked out by the saves before. */
function stepBetween(from: SetDocument, to: SetDocument): Difference {
  const before = known.get(from);
  if (before?.to === to) return before.step;
  const step = difference(from, to);
  known.set(from, { to, step });
  return step;
}

/** What undo and redo lead to from a set that was just opened, with all that the journal tells since its last save. */
export function unpackHistory({ trail }: { trail?: Trail }): UndoHistory {
  if (!trail) return { past: [], future: [] };
  const past = steps(trail.from, trail.history.past, goBack);
  const future = steps(trail.from, trail.history.future, goForward);
  let now = trail.from;
  for (const { to, step } of trail.steps) {
    if ('document' in step && isSame(past.at(-1), to)) {
      future.push(now);
      past.pop();
    } else if ('document' in step && isSame(future.at(-1), to)) {
      past.push(now);
      future.pop();
    } else if ('document' in step || !step.joins) {
      past.push(now);
      future.length = 0;
    }
    now = to;
  }
  return { past, future };
}

/** Sets that differences lead through, nearest last; as far as they lead to what is a set. */
function steps(
  from: SetDocument,
  by: readonly Difference[],
  go: (set: SetDocument, by: Difference) => SetDocument,
): SetDocument[] {
  const sets: SetDocument[] = [];
  for (const one of [...by].reverse()) {
    try {
      const next = go(sets[0] ?? from, one);
      if (!parseSet(next).ok) break;
      sets.unshift(next);
    } catch {
      break;
    }
  }
  return sets;
}

function isSame(a: SetDocument | undefined, b: SetDocument): boolean {
  return a !== undefined && writeSetText(a) === writeSetText(b);
}
