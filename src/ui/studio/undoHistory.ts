import { difference, goBack, goForward } from '@/core/document/difference';
import type { SetDocument } from '@/core/document/document';
import { writeSetText } from '@/core/document/parse';
import type { StoredHistory } from '@/data/database';
import type { OpenedSet } from '@/data/sets';

/** So many steps of undo outlive the page. */
const KEPT_STEPS = 60;

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
export function unpackHistory({ trail }: Pick<OpenedSet, 'trail'>): UndoHistory {
  if (!trail) return { past: [], future: [] };
  const past: SetDocument[] = [];
  const future: SetDocument[] = [];
  for (const by of [...trail.history.past].reverse()) past.unshift(goBack(past[0] ?? trail.from, by));
  for (const by of [...trail.history.future].reverse())
    future.unshift(goForward(future[0] ?? trail.from, by));
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

function isSame(a: SetDocument | undefined, b: SetDocument): boolean {
  return a !== undefined && writeSetText(a) === writeSetText(b);
}
