import { writeSetText } from '@/core/document/parse';
import type { BackedUp, Backup } from '@/core/files/backup';
import type { Client } from '@/core/model/client';
import type { ShelfItem } from '@/core/model/shelf';
import type { Supply } from '@/core/model/supply';
import { without } from '@/core/model/without';
import { wordsWith } from '@/core/model/primitives';
import { toBin } from './bin';
import { putClients } from './clients';
import { db } from './database';
import { listed } from './listed';
import { readRows } from './rows';
import { putOnShelf } from './shelf';
import { putSupplies } from './supplies';
import { addSet, lastSeen, storeAgain } from './sets';

/** All that is stored, as a backup: each set with what the journal still holds of it, broken records as text. */
export async function collectBackup(now = new Date()): Promise<Backup> {
  const shelf = readRows('shelf', await db().shelf.toArray());
  const clients = readRows('clients', await db().clients.toArray());
  const supplies = readRows('supplies', await db().supplies.toArray());
  const backup: Backup = {
    made_at: now.toISOString(),
    sets: [],
    records: [...shelf.broken, ...clients.broken, ...supplies.broken].map(({ title, record }) => ({
      title,
      text: asText(record),
    })),
    shelf: shelf.good.map((one) => without(one, 'id')),
    clients: clients.good,
    supplies: supplies.good,
  };
  for (const record of await db().sets.toArray()) {
    const shown = listed(record);
    if (shown.kind === 'broken') {
      backup.records.push({ title: shown.title, text: asText(record) });
      continue;
    }
    const opened = await lastSeen(shown.id);
    if (opened.ok) backup.sets.push({ changed_at: shown.stored.changed_at, document: opened.value.set });
  }
  return backup;
}

/** All that can be written of a record, however broken. */
export function asText(record: unknown): string {
  try {
    return `${JSON.stringify(record, null, 2)}\n`;
  } catch {
    return String(record);
  }
}

/** What taking in a backup would do here. */
export interface Preview {
  fresh: BackedUp[];
  same: BackedUp[];
  /** Stored here too, and other than in the backup. */
  differing: BackedUp[];
  /** Cards and products that are not here yet; those that are stay as they are. */
  clients: Client[];
  products: ShelfItem[];
  supplies: Supply[];
}

/** What of these a table does not hold. */
async function missingFrom<T>(
  table: { toCollection: () => { primaryKeys: () => PromiseLike<string[]> } },
  items: readonly T[],
  idOf: (one: T) => string,
): Promise<T[]> {
  const there = new Set(await table.toCollection().primaryKeys());
  return items.filter((one) => !there.has(idOf(one)));
}

export async function previewBackup(backup: Backup): Promise<Preview> {
  const preview: Preview = {
    fresh: [],
    same: [],
    differing: [],
    clients: await missingFrom(db().clients, backup.clients, (one) => one.id),
    products: await missingFrom(db().shelf, backup.shelf, (one) => one.product.id),
    supplies: await missingFrom(db().supplies, backup.supplies, (one) => one.id),
  };
  for (const one of backup.sets) {
    const here = await db().sets.get(one.document.id);
    const opened = here && (await lastSeen(one.document.id));
    if (!here) preview.fresh.push(one);
    else if (opened?.ok && writeSetText(opened.value.set) === writeSetText(one.document))
      preview.same.push(one);
    else preview.differing.push(one);
  }
  return preview;
}

/**
 * Takes a backup in, all or nothing. Where a set is here too and differs, `both` keeps it and adds the backup's as a
 * copy; `backup` puts the backup's in its place, and what was here into the bin.
 */
export async function takeIn(backup: Backup, differing: 'both' | 'backup'): Promise<void> {
  await db().transaction('rw', db().tables, async () => {
    const preview = await previewBackup(backup);
    for (const one of preview.differing) {
      if (differing === 'backup') {
        await toBin(one.document.id);
        await storeAgain(one.document, one.changed_at);
      } else {
        await addSet({ ...one.document, title: wordsWith(one.document.title, '(from the backup)') });
      }
    }
    for (const one of preview.fresh) await storeAgain(one.document, one.changed_at);
    await putOnShelf(preview.products);
    await putClients(preview.clients);
    await putSupplies(preview.supplies);
  });
}

const BACKED_UP = 'backed-up-at';
const DAY_MS = 24 * 3600 * 1000;
/** So long changed sets may go without a backup before it is said. */
export const BACKUP_DAYS = 14;

export async function noteBackup(now = Date.now()): Promise<void> {
  if (!db().onlyRead) await db().facts.put({ key: BACKED_UP, value: String(now) });
}

/**
 * Days since the last backup, or since the first own change where there never was one; undefined where nothing was
 * changed since, or not long enough ago to speak of.
 */
export async function backupOverdue_days(now = Date.now()): Promise<number | undefined> {
  const last = Number((await db().facts.get(BACKED_UP))?.value ?? 0);
  // The first revision is as it was made or opened: nothing of the artist's own is in it yet.
  const changed = await db()
    .sets.filter((set) => set.changed_at > last && set.revision > 1)
    .toArray();
  if (changed.length === 0) return undefined;
  const since = last || changed.reduce((least, set) => Math.min(least, set.changed_at), now);
  const days = Math.floor((now - since) / DAY_MS);
  return days >= BACKUP_DAYS ? days : undefined;
}
