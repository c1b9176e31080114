import { liveQuery } from 'dexie';
import type { Bench } from '@/core/bench/log';
import { photosOf } from '@/core/model/wear';
import { db, ReadOnly } from './database';
import { atOnce } from './journal';
import { goodRow } from './rows';

/** What happened at the table with a set, each time it changes, in this tab or another; undefined where it was never begun. */
export function watchBench(
  set: string,
  onChange: (bench: Bench | undefined) => void,
  onError: (error: unknown) => void,
): () => void {
  const read = () => goodRow('benches', set);
  const subscription = liveQuery(read).subscribe(onChange, onError);
  // What is put down at once goes past the store's own watching: its tab says so.
  const news = channel();
  news?.addEventListener('message', ({ data }: MessageEvent<unknown>) => {
    if (data === set) read().then(onChange, onError);
  });
  return () => {
    subscription.unsubscribe();
    news?.close();
  };
}

function channel(): BroadcastChannel | undefined {
  return typeof BroadcastChannel === 'undefined' ? undefined : new BroadcastChannel('merry-lacquer tables');
}

/** Told to the other tabs once it is written. */
function tellTabs(set: string): void {
  const news = channel();
  news?.postMessage(set);
  news?.close();
}

export async function benchOf(set: string): Promise<Bench | undefined> {
  return goodRow('benches', set);
}

/**
 * Keeps a table as it is now, asked for and committed in the tick of the press: once this returns the browser has it, even if the page
 * is gone the moment after. The promise settles when it is on disk.
 */
export function putBench(bench: Bench): Promise<void> {
  if (db().onlyRead) return Promise.reject(new ReadOnly());
  const backend = db().isOpen() ? db().backendDB() : undefined;
  if (!backend)
    return db()
      .benches.put(bench)
      .then(() => undefined);
  return atOnce(backend, 'benches', (store) => store.put(bench)).then(() => tellTabs(bench.set));
}

/** The record of a sitting is thrown away, with its photos: the set may be begun anew. Photos of how it wore stay with that. */
export async function removeBench(set: string): Promise<void> {
  await db().transaction('rw', db().benches, db().photos, db().worn, async () => {
    await db().benches.delete(set);
    const worn = await goodRow('worn', set);
    const kept = new Set(worn ? photosOf(worn) : []);
    await db()
      .photos.where('set')
      .equals(set)
      .and(({ id }) => !kept.has(id))
      .delete();
  });
}
