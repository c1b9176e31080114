import { liveQuery } from 'dexie';
import type { Bench } from '@/core/bench/log';
import { db } from './database';
import { goodRows } from './rows';

const SINCE = 'own-times-since';

/** What an artist's own times are read from. */
export interface OwnLogs {
  benches: Bench[];
  /** What is older counts no more. */
  since_ms: number;
}

/** The records of all sittings, and since when they count. */
export function watchOwnLogs(
  onChange: (logs: OwnLogs) => void,
  onError: (error: unknown) => void,
): () => void {
  const query = async () => ({
    benches: await goodRows('benches'),
    since_ms: Number((await db().facts.get(SINCE))?.value ?? 0),
  });
  const subscription = liveQuery(query).subscribe(onChange, onError);
  return () => subscription.unsubscribe();
}

/** Counts own times anew from a moment on; 0 takes all records again. */
export async function countFrom(since_ms: number): Promise<void> {
  await db().facts.put({ key: SINCE, value: String(since_ms) });
}

/** Says of a round whether its time counts; it stands in the log of its sitting. */
export async function countRound(
  set: string,
  of: number,
  counts: boolean,
  at_ms = Date.now(),
): Promise<void> {
  await db().transaction('rw', db().benches, async () => {
    const bench = await db().benches.get(set);
    if (bench)
      await db().benches.put({ ...bench, events: [...bench.events, { what: 'counted', at_ms, of, counts }] });
  });
}
