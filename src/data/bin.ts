import { liveQuery } from 'dexie';
import { db, type Binned, type StoredSet } from './database';
import { newKey } from './journal';

/** What is removed can be put back for so long. */
export const BIN_DAYS = 30;
const BIN_MS = BIN_DAYS * 24 * 3600 * 1000;

/** Puts a record, whole or broken, into the bin. Its id is not given again. Returns the key to put it back by. */
export async function toBin(id: string, now = Date.now()): Promise<string | undefined> {
  return db().transaction('rw', [db().sets, db().journal, db().history, db().bin, db().gone], async () => {
    const record: Partial<StoredSet> | undefined = await db().sets.get(id);
    if (!record) return undefined;
    const key = newKey();
    const title = typeof record.title === 'string' ? record.title : 'A set without a title';
    await db().bin.add({ key, removed_at: now, title, record });
    const revision = typeof record.revision === 'number' ? record.revision : 0;
    if (typeof id === 'string') await db().gone.put({ id, revision });
    await db().sets.delete(id);
    await db().journal.where('set').equals(id).delete();
    await db().history.where('set').equals(id).delete();
    return key;
  });
}

/**
 * Puts back a removed record, just as it was, broken as it may be; under another id where its own is in use again.
 * Nothing happens where it is not in the bin any more.
 */
export async function putBack(key: string): Promise<void> {
  await db().transaction('rw', db().sets, db().bin, async () => {
    const binned = await db().bin.get(key);
    if (!binned) return;
    const record = binned.record as StoredSet;
    if (await db().sets.get(record.id)) {
      const id = `${String(record.id).slice(0, 20)}-${key.replace(/\D/g, '').slice(-16)}`;
      await db().sets.add({ ...record, id, document: { ...record.document, id } });
    } else {
      await db().sets.add(record);
    }
    await db().bin.delete(key);
  });
}

/** What is in the bin, latest removed first, each time that changes. */
export function watchBin(onChange: (binned: Binned[]) => void): () => void {
  const all = () => db().bin.orderBy('removed_at').reverse().toArray();
  const subscription = liveQuery(all).subscribe(onChange, () => undefined);
  return () => subscription.unsubscribe();
}

/** Takes out of the bin for good what has been in it long enough. */
export async function clearOldBin(now = Date.now()): Promise<void> {
  await db()
    .bin.where('removed_at')
    .below(now - BIN_MS)
    .delete();
}

/** Takes one out of the bin for good. */
export async function dropFromBin(key: string): Promise<void> {
  await db().bin.delete(key);
}
