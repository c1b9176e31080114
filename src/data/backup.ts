import { writeSetText } from '@/core/document/parse';
import type { SetDocument } from '@/core/document/document';
import { emptyBackup, type BackedUp, type Backup } from '@/core/files/backup';
import { leastOf } from '@/core/model/extent';
import { wordsWith } from '@/core/model/primitives';
import { removeOfSet, rowToBin, toBin } from './bin';
import { newClientId } from './clients';
import { db } from './database';
import { changedAt } from './listed';
import { goodRow, goodRows, readRows } from './rows';
import { addSet, lastSeen, storeAgain } from './sets';
import { allLastSeen } from './setList';
import type { InBackup } from './inBackup';
import { TABLE_NAMES, TABLES, type Rows, type TableKind, type TableName } from './tables';

/** Tables whose rows go into a backup. The sets go too, each as its own file. */
export const BACKED_UP: readonly TableName[] = TABLE_NAMES.filter((name) => TABLES[name].backup);

/** What is written of a table here is of its own rows: what the compiler cannot follow through the registry is said once. */
function ways<K extends TableName>(table: K): InBackup<Rows[K]> {
  return (TABLES[table] as TableKind<Rows[K]>).backup!;
}

/** All that is stored, as a backup: each set with what the journal still holds of it, broken records as text, pictures as they lie. */
export async function collectBackup(now = new Date()): Promise<Backup> {
  const backup = emptyBackup(now.toISOString());
  for (const table of BACKED_UP) {
    const { good, broken } = readRows(table, await db().table(table).toArray());
    ways(table).into(backup, good);
    for (const { title, record } of broken) backup.records.push({ title, text: asText(record) });
  }
  for (const one of await allLastSeen())
    if (one.kind === 'broken') backup.records.push({ title: one.title, text: asText(one.record) });
    else backup.sets.push({ changed_at: one.stored.changed_at, document: one.stored.document });
  return backup;
}

/** One set with the record of its sitting, as a backup of it alone: asked for by name, since a set's own file says nothing of it. */
export async function backupOfOne(
  document: SetDocument,
  changed_at: number,
  now = new Date(),
): Promise<Backup> {
  const backup = { ...emptyBackup(now.toISOString()), sets: [{ changed_at, document }] };
  const bench = await goodRow('benches', document.id);
  if (bench) ways('benches').into(backup, [bench]);
  return backup;
}

/**
 * A client's card whole, as a backup of it alone, asked for by name: what is not used on these hands, the measures, the sets made for them with
 * all that is kept of those, and how they wore.
 */
export async function backupOfClient(id: string, now = new Date()): Promise<Backup> {
  const backup = emptyBackup(now.toISOString());
  const sets = await setsOfClient(id);
  for (const set of sets) {
    const stored = await db().sets.get(set);
    const opened = stored && (await lastSeen(set));
    if (stored && opened?.ok) backup.sets.push({ changed_at: changedAt(stored), document: opened.value.set });
  }
  const own = new Set(sets);
  for (const table of BACKED_UP) {
    const { ofSet, ofClient } = TABLES[table];
    const isTheirs = (row: object) => {
      const at = (column: string | undefined) => column && (row as Record<string, unknown>)[column];
      return own.has(String(at(ofSet?.column))) || (ofClient !== undefined && at(ofClient) === id);
    };
    ways(table).into(backup, (await goodRows(table)).filter(isTheirs));
  }
  return backup;
}

/** All sets that were made for a client, those that are gone and were worn too. */
async function setsOfClient(id: string): Promise<string[]> {
  const client = await db().clients.get(id);
  const worn = await db().worn.where('client').equals(id).primaryKeys();
  return [...new Set([...(client?.sets ?? []), ...worn])];
}

/**
 * Removes a client's card with all that was made for them, for good: sets, records, pictures, how they wore. Nothing of it goes into the bin, and
 * what the bin holds of it goes too.
 */
export async function removeClientWhole(id: string): Promise<void> {
  await db().transaction('rw', db().tables, async () => {
    const sets = await setsOfClient(id);
    for (const set of sets) {
      const stored = await db().sets.get(set);
      if (stored) await db().gone.put({ id: set, revision: Number(stored.revision) || 0 });
      await removeOfSet(set, () => true);
    }
    for (const table of TABLE_NAMES) {
      const { ofClient } = TABLES[table];
      if (ofClient) await db().table(table).where(ofClient).equals(id).delete();
    }
    const ids = new Set<unknown>([id, ...sets]);
    await db()
      .bin.filter(({ record }) => {
        const held = (record ?? {}) as { id?: unknown; set?: unknown };
        return ids.has(held.id) || ids.has(held.set);
      })
      .delete();
  });
}

/** All that can be written of a record, however broken. */
export function asText(record: unknown): string {
  try {
    return `${JSON.stringify(record, null, 2)}\n`;
  } catch {
    return String(record);
  }
}

/** Something of a backup that is here too, and other than there. */
export interface Differing<T> {
  there: T;
  here: T;
}

/** What of one table a backup would bring, compared by content. */
export interface Sides<T> {
  fresh: T[];
  differing: Differing<T>[];
}

/** What taking in a backup would do here. */
export interface Preview {
  sets: Sides<BackedUp> & { same: BackedUp[] };
  tables: { table: TableName; sides: Sides<object> }[];
}

/** Whether two records hold the same, however their keys are ordered. */
function isAlike(a: unknown, b: unknown): boolean {
  if (Object.is(a, b)) return true;
  if (typeof a !== 'object' || typeof b !== 'object' || a === null || b === null) return false;
  const keys = Object.keys(a);
  return (
    Array.isArray(a) === Array.isArray(b) &&
    keys.length === Object.keys(b).length &&
    keys.every((key) => Object.hasOwn(b, key) && isAlike(a[key as never], b[key as never]))
  );
}

/**
 * What of one table a backup would bring. A broken row of the same key counts as none where it is asked which is taken: it is put in the bin by
 * what takes its place. Where what is here stands, a broken one stands too.
 */
async function sidesOf<K extends TableName>(table: K, backup: Backup): Promise<Sides<Rows[K]>> {
  const { outOf, differing } = ways(table);
  const sides: Sides<Rows[K]> = { fresh: [], differing: [] };
  const there = outOf(backup);
  if (differing === 'stands') {
    const here = new Set<unknown>(await db().table(table).toCollection().primaryKeys());
    return { ...sides, fresh: there.filter((row) => !here.has(keyOf(table, row))) };
  }
  const known = new Map((await goodRows(table)).map((row) => [keyOf(table, row), row]));
  for (const row of there) {
    const own = known.get(keyOf(table, row));
    if (own === undefined) sides.fresh.push(row);
    else if (!isAlike(row, own)) sides.differing.push({ there: row, here: own });
  }
  return sides;
}

function keyOf(table: TableName, row: object): string {
  return String((row as Record<string, unknown>)[TABLES[table].key]);
}

/** What a row calls itself, and its key where it has no name. */
export function nameOf(table: TableName, row: object): string {
  const name = TABLES[table].nameIn(row as Record<string, unknown>);
  return typeof name === 'string' ? name : keyOf(table, row);
}

export async function previewBackup(backup: Backup): Promise<Preview> {
  const preview: Preview = { sets: { fresh: [], differing: [], same: [] }, tables: [] };
  for (const table of BACKED_UP) preview.tables.push({ table, sides: await sidesOf(table, backup) });
  const { sets } = preview;
  const here = new Map((await allLastSeen()).map((one) => [one.id, one]));
  for (const one of backup.sets) {
    const own = here.get(one.document.id);
    if (!own) {
      sets.fresh.push(one);
      continue;
    }
    const seen = own.kind === 'set' ? own.stored.document : undefined;
    if (seen && writeSetText(seen) === writeSetText(one.document)) sets.same.push(one);
    else {
      const changed_at = changedAt(own.kind === 'set' ? own.stored : own.record);
      sets.differing.push({ there: one, here: { changed_at, document: seen ?? one.document } });
    }
  }
  return preview;
}

/**
 * Takes a backup in, all or nothing. Where something is here too and differs, `both` keeps it, and adds the backup's sets
 * and cards as copies; `backup` puts the backup's in its place, and what was here into the bin.
 */
export async function takeIn(backup: Backup, differing: 'both' | 'backup'): Promise<void> {
  await db().transaction('rw', db().tables, async () => {
    const { sets, tables } = await previewBackup(backup);
    for (const { there } of sets.differing) {
      if (differing === 'backup') {
        await toBin(there.document.id);
        await storeAgain(there.document, there.changed_at);
      } else {
        await addSet({ ...there.document, title: wordsWith(there.document.title, '(from the backup)') });
      }
    }
    for (const one of sets.fresh) await storeAgain(one.document, one.changed_at);
    for (const { table, sides } of tables) await takeInTable(table, sides, differing);
  });
}

async function takeInTable(
  table: TableName,
  sides: Sides<object>,
  differing: 'both' | 'backup',
): Promise<void> {
  const copy = ways(table).copy as InBackup<object>['copy'];
  const rows = [...sides.fresh];
  for (const { there, here } of sides.differing) {
    if (differing === 'backup') {
      await rowToBin({ table, key: keyOf(table, here), title: nameOf(table, here) });
      rows.push(there);
    } else if (copy) rows.push(copy(there, newClientId));
  }
  // A broken row may stand in the place of a fresh one.
  for (const row of sides.fresh) await rowToBin({ table, key: keyOf(table, row), title: nameOf(table, row) });
  await db().table(table).bulkPut(rows);
}

const BACKED_UP_AT = 'backed-up-at';
const DAY_MS = 24 * 3600 * 1000;
/** So long changed sets may go without a backup before it is said. */
export const BACKUP_DAYS = 14;

export async function noteBackup(now = Date.now()): Promise<void> {
  if (!db().onlyRead) await db().facts.put({ key: BACKED_UP_AT, value: String(now) });
}

/**
 * Days since the last backup, or since the first own change where there never was one; undefined where nothing was
 * changed since, or not long enough ago to speak of.
 */
export async function backupOverdue_days(now = Date.now()): Promise<number | undefined> {
  const last = Number((await db().facts.get(BACKED_UP_AT))?.value ?? 0);
  // The first revision is as it was made or opened: nothing of the artist's own is in it yet.
  const changed = await db()
    .sets.filter((set) => set.changed_at > last && set.revision > 1)
    .toArray();
  if (changed.length === 0) return undefined;
  const since = last || leastOf(changed.map((set) => set.changed_at));
  const days = Math.floor((now - since) / DAY_MS);
  return days >= BACKUP_DAYS ? days : undefined;
}
