import { liveQuery } from 'dexie';
import { askedKey } from './asked';
import { db } from './database';
import type { Binned, StoredSet } from './records';
import { newKey } from './journal';
import { goodRow, readRows, type BrokenRow } from './rows';
import { TABLE_NAMES, TABLES, type TableKind, type TableName } from './tables';

/** What is removed can be put back for so long. */
export const BIN_DAYS = 30;
const BIN_MS = BIN_DAYS * 24 * 3600 * 1000;

/** A record as it stands in the bin. */
export function binned(record: unknown, { table = 'sets', title, now = Date.now() }: Binning = {}): Binned {
  const named = (record as { title?: unknown } | null)?.title;
  return {
    key: newKey(),
    removed_at: now,
    title: title ?? (typeof named === 'string' ? named : 'A set without a title'),
    record,
    ...(table === 'sets' ? {} : { table }),
  };
}

interface Binning {
  table?: TableName;
  title?: string;
  now?: number;
}

/** Puts a set, whole or broken, into the bin. Its id is not given again. Returns the key to put it back by. */
export async function toBin(id: string, now = Date.now()): Promise<string | undefined> {
  return db().transaction('rw', [db().sets, db().journal, db().history, db().bin, db().gone], async () => {
    const record: Partial<StoredSet> | undefined = await db().sets.get(id);
    if (!record) return undefined;
    const one = binned(record, { now });
    await db().bin.add(one);
    const revision = typeof record.revision === 'number' ? record.revision : 0;
    if (typeof id === 'string') await db().gone.put({ id, revision });
    await db().sets.delete(id);
    // What waits for a choice in another tab is that tab’s.
    await db()
      .journal.where('set')
      .equals(id)
      .and((entry) => !entry.conflict)
      .delete();
    await db().history.where('set').equals(id).delete();
    return one.key;
  });
}

/** Puts a row of any table, broken as it may be, into the bin. Returns the key to put it back by. */
export async function rowToBin({
  table,
  key,
  title,
}: Pick<BrokenRow, 'table' | 'key' | 'title'>): Promise<string | undefined> {
  if (table === 'sets') return toBin(key as string);
  return db().transaction('rw', db().table(table), db().bin, async () => {
    const record: unknown = await db()
      .table(table)
      .get(key as string);
    if (record === undefined) return undefined;
    const one = binned(record, { table, title });
    await db().bin.add(one);
    await db()
      .table(table)
      .delete(key as string);
    return one.key;
  });
}

/**
 * Puts back a removed record, just as it was, broken as it may be; a set under another id where its own is in use
 * again. Nothing happens where it is not in the bin any more.
 */
export async function putBack(key: string): Promise<void> {
  await db().transaction('rw', db().tables, async () => {
    const one = await db().bin.get(key);
    if (!one) return;
    const table = (one.table ?? 'sets') as TableName;
    if (!Object.hasOwn(TABLES, table)) throw new Error('it is of a table that this program does not have');
    if (table !== 'sets') {
      const { [TABLES[table].key]: own } = one.record as Partial<Record<string, string>>;
      if (own !== undefined && (await db().table(table).get(own)))
        throw new Error('there is another of the same name by now');
      await db().table(table).add(one.record);
    } else {
      const record = one.record as StoredSet;
      if (await db().sets.get(record.id)) {
        const id = `${String(record.id).slice(0, 20)}-${key.replace(/\D/g, '').slice(-16)}`;
        await db().sets.add({ ...record, id, document: { ...record.document, id } });
      } else {
        await db().sets.add(record);
      }
    }
    await db().bin.delete(key);
  });
}

/** What is in the bin, latest removed first, each time that changes. */
export function watchBin(onChange: (binned: Binned[]) => void): () => void {
  const all = async () => readRows('bin', await db().bin.orderBy('removed_at').reverse().toArray()).good;
  const subscription = liveQuery(all).subscribe(onChange, () => undefined);
  return () => subscription.unsubscribe();
}

/** Takes out of the bin for good what has been in it long enough. */
export async function clearOldBin(now = Date.now()): Promise<void> {
  const old = await db()
    .bin.where('removed_at')
    .below(now - BIN_MS)
    .primaryKeys();
  for (const key of old) await dropFromBin(key);
}

/** Takes one out of the bin for good; with a set goes what was kept of it, but for how it was worn. */
export async function dropFromBin(key: string): Promise<void> {
  await db().transaction('rw', db().tables, async () => {
    const one = await goodRow('bin', key);
    await db().bin.delete(key);
    const id = one && !one.table ? (one.record as { id?: unknown } | null)?.id : undefined;
    if (typeof id !== 'string' || (await db().sets.get(id))) return;
    const isWorn = (await db().worn.get(id)) !== undefined;
    await removeOfSet(id, (outlives) => outlives === 'never' || (outlives === 'where worn' && !isWorn));
  });
}

/** Removes what is kept of a set, of the tables that are asked for. Within a transaction of all tables. */
export async function removeOfSet(
  set: string,
  goes: (outlives: NonNullable<TableKind<unknown>['ofSet']>['outlives']) => boolean,
): Promise<void> {
  for (const table of TABLE_NAMES) {
    const { ofSet } = TABLES[table];
    if (ofSet && goes(ofSet.outlives)) await db().table(table).where(ofSet.column).equals(set).delete();
  }
  await db().facts.delete(askedKey(set));
}
