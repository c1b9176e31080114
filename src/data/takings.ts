import { liveQuery } from 'dexie';
import type { SetDocument } from '@/core/document/document';
import { MOST_WORDS } from '@/core/model/primitives';
import type { Taking, TakenLine } from '@/core/stock/taking';
import { db } from './database';
import { goodRow, goodRows } from './rows';

/**
 * Notes, within the transaction of a save, that a set is done and takes its things off the shelf, or that it is not done after all
 * and puts them back. A set that was done already takes nothing again.
 */
export async function noteState(
  before: SetDocument | undefined,
  after: SetDocument,
  now = new Date(),
): Promise<void> {
  if (before?.state === after.state) return;
  if (after.state === 'done') {
    if (!before) return;
    await db().takings.put({
      set: after.id,
      title: after.title.slice(0, MOST_WORDS),
      at: now.toISOString(),
      lines: null,
    });
    return;
  }
  if (before?.state !== 'done') return;
  await db().takings.delete(after.id);
  // What was noted of how it held is not thrown away for a press.
  const worn = await goodRow('worn', after.id);
  if (worn && Object.values(worn.nails).every((nail) => !nail || nail.notes.length === 0))
    await db().worn.delete(after.id);
}

/** What sets that are done took, each time it changes. */
export function watchTakings(
  onChange: (takings: Taking[]) => void,
  onError: (error: unknown) => void,
): () => void {
  const subscription = liveQuery(() => goodRows('takings')).subscribe(onChange, onError);
  return () => subscription.unsubscribe();
}

/** Writes what a set took, once it is worked out; nothing where it is not done any more, or was done anew meanwhile. */
export async function workedOut({ set, at }: Taking, lines: TakenLine[]): Promise<void> {
  await db().transaction('rw', db().takings, async () => {
    const now = await db().takings.get(set);
    if (now?.at === at && now.lines === null) await db().takings.put({ ...now, lines });
  });
}
