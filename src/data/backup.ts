import type { Bench } from '@/core/bench/log';
import { writeSetText } from '@/core/document/parse';
import type { SetDocument } from '@/core/document/document';
import { emptyBackup, type BackedUp, type Backup } from '@/core/files/backup';
import { benchOf } from './benches';
import type { Client } from '@/core/model/client';
import type { KeptMotif } from '@/core/craft/keptMotif';
import { append, leastOf } from '@/core/model/extent';
import type { ShelfItem } from '@/core/model/shelf';
import type { Pricing } from '@/core/model/pricing';
import type { Supply } from '@/core/model/supply';
import type { Worn } from '@/core/model/wear';
import type { Taking } from '@/core/stock/taking';
import { without } from '@/core/model/without';
import { wordsWith } from '@/core/model/primitives';
import { rowToBin, toBin } from './bin';
import { newClientId, putClients } from './clients';
import { db } from './database';
import { changedAt, listed } from './listed';
import { goodRow, goodRows, readRows } from './rows';
import { putBackOnShelf } from './shelf';
import { PRICING, readPricing } from './pricing';
import { putMotifs } from './motifs';
import { putSupplies } from './supplies';
import { addSet, lastSeen, storeAgain } from './sets';

/** All that is stored, as a backup: each set with what the journal still holds of it, broken records as text. */
export async function collectBackup(now = new Date()): Promise<Backup> {
  const shelf = readRows('shelf', await db().shelf.toArray());
  const clients = readRows('clients', await db().clients.toArray());
  const supplies = readRows('supplies', await db().supplies.toArray());
  const motifs = readRows('motifs', await db().motifs.toArray());
  const benches = readRows('benches', await db().benches.toArray());
  const takings = readRows('takings', await db().takings.toArray());
  const worn = readRows('worn', await db().worn.toArray());
  const pricing = (await db().facts.get(PRICING))?.value;
  const backup: Backup = {
    made_at: now.toISOString(),
    sets: [],
    records: [
      ...shelf.broken,
      ...clients.broken,
      ...supplies.broken,
      ...motifs.broken,
      ...benches.broken,
      ...takings.broken,
      ...worn.broken,
    ].map(({ title, record }) => ({
      title,
      text: asText(record),
    })),
    shelf: shelf.good.map((one) => without(one, 'id')),
    clients: clients.good,
    supplies: supplies.good,
    motifs: motifs.good,
    benches: benches.good,
    takings: takings.good,
    worn: worn.good,
    pricing: pricing === undefined ? null : readPricing(pricing),
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

/** One set with the record of its sitting, as a backup of it alone: asked for by name, since a set's own file says nothing of it. */
export async function backupOfOne(
  document: SetDocument,
  changed_at: number,
  now = new Date(),
): Promise<Backup> {
  const bench = await benchOf(document.id);
  return {
    ...emptyBackup(now.toISOString()),
    sets: [{ changed_at, document }],
    benches: bench ? [bench] : [],
  };
}

/**
 * A client's card whole, as a backup of it alone, asked for by name: what is not used on these hands, the measures, the sets made for them with
 * the records of their sittings, and how they wore.
 */
export async function backupOfClient(id: string, now = new Date()): Promise<Backup> {
  const backup = emptyBackup(now.toISOString());
  const client = await goodRow('clients', id);
  if (!client) return backup;
  const own = new Set(client.sets);
  for (const set of own) {
    const stored = await db().sets.get(set);
    const opened = stored && (await lastSeen(set));
    if (stored && opened?.ok) backup.sets.push({ changed_at: changedAt(stored), document: opened.value.set });
  }
  backup.clients.push(client);
  append(
    backup.benches,
    (await goodRows('benches')).filter(({ set }) => own.has(set)),
  );
  append(
    backup.takings,
    (await goodRows('takings')).filter(({ set }) => own.has(set)),
  );
  append(
    backup.worn,
    (await goodRows('worn')).filter((one) => one.client === id),
  );
  return backup;
}

/**
 * Removes a client's card with all that was made for them, for good: sets, records, pictures, how they wore. Nothing of it goes into the bin, and
 * what the bin holds of it goes too.
 */
export async function removeClientWhole(id: string): Promise<void> {
  await db().transaction('rw', db().tables, async () => {
    const client = await db().clients.get(id);
    const worn = await db().worn.where('client').equals(id).primaryKeys();
    const sets = [...new Set([...(client?.sets ?? []), ...worn])];
    for (const set of sets) {
      const stored = await db().sets.get(set);
      if (stored) await db().gone.put({ id: set, revision: Number(stored.revision) || 0 });
      await db().sets.delete(set);
      await db().history.delete(set);
      await db().benches.delete(set);
      await db().references.delete(set);
      await db().takings.delete(set);
      await db().worn.delete(set);
      await db().journal.where('set').equals(set).delete();
      await db().photos.where('set').equals(set).delete();
    }
    const ids = new Set<unknown>([id, ...sets]);
    await db()
      .bin.filter(({ record }) => ids.has((record as { id?: unknown } | null)?.id))
      .delete();
    await db().clients.delete(id);
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
  clients: Sides<Client>;
  products: Sides<ShelfItem>;
  supplies: Sides<Supply>;
  motifs: Sides<KeptMotif>;
  /** Records of sittings of sets that have none here. */
  benches: Bench[];
  /** What sets took that are not known here to have taken anything. */
  takings: Taking[];
  /** Sets that were worn, of which nothing is known here. */
  worn: Worn[];
  /** Prices, where there are none here. */
  pricing: Pricing | null;
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

/** A broken row of the same id counts as none: it is put in the bin by what takes its place. */
function sidesOf<T>(there: readonly T[], here: readonly T[], idOf: (one: T) => string): Sides<T> {
  const known = new Map(here.map((one) => [idOf(one), one]));
  const sides: Sides<T> = { fresh: [], differing: [] };
  for (const one of there) {
    const own = known.get(idOf(one));
    if (own === undefined) sides.fresh.push(one);
    else if (!isAlike(one, own)) sides.differing.push({ there: one, here: own });
  }
  return sides;
}

const idOf = ({ id }: { id: string }) => id;
const productIdOf = ({ product }: ShelfItem) => product.id;

/** Of what is kept one a set: that of sets which have none here. What was done is not done over. */
async function missing<T extends { set: string }>(
  table: 'benches' | 'takings' | 'worn',
  there: readonly T[],
): Promise<T[]> {
  const here = new Set(await db().table(table).toCollection().primaryKeys());
  return there.filter(({ set }) => !here.has(set));
}

export async function previewBackup(backup: Backup): Promise<Preview> {
  const items = (await goodRows('shelf')).map((one) => without(one, 'id'));
  const preview: Preview = {
    sets: { fresh: [], differing: [], same: [] },
    clients: sidesOf(backup.clients, await goodRows('clients'), idOf),
    products: sidesOf<ShelfItem>(backup.shelf, items, productIdOf),
    supplies: sidesOf(backup.supplies, await goodRows('supplies'), idOf),
    motifs: sidesOf(backup.motifs, await goodRows('motifs'), idOf),
    benches: await missing('benches', backup.benches),
    takings: await missing('takings', backup.takings),
    worn: await missing('worn', backup.worn),
    pricing: (await db().facts.get(PRICING)) ? null : backup.pricing,
  };
  const { sets } = preview;
  for (const one of backup.sets) {
    const stored = await db().sets.get(one.document.id);
    const seen = stored && (await lastSeen(one.document.id));
    if (!stored) sets.fresh.push(one);
    else if (seen?.ok && writeSetText(seen.value.set) === writeSetText(one.document)) sets.same.push(one);
    else {
      const document = seen?.ok ? seen.value.set : one.document;
      sets.differing.push({ there: one, here: { changed_at: changedAt(stored), document } });
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
    const { sets, clients, products, supplies, motifs, benches, takings, worn, pricing } =
      await previewBackup(backup);
    for (const { there } of sets.differing) {
      if (differing === 'backup') {
        await toBin(there.document.id);
        await storeAgain(there.document, there.changed_at);
      } else {
        await addSet({ ...there.document, title: wordsWith(there.document.title, '(from the backup)') });
      }
    }
    for (const one of sets.fresh) await storeAgain(one.document, one.changed_at);
    if (differing === 'backup') {
      const replaced = [
        ...clients.differing.map(
          ({ here }) => ({ table: 'clients', key: here.id, title: here.name }) as const,
        ),
        ...products.differing.map(
          ({ here: { product } }) => ({ table: 'shelf', key: product.id, title: product.name }) as const,
        ),
        ...supplies.differing.map(
          ({ here }) => ({ table: 'supplies', key: here.id, title: here.name }) as const,
        ),
        ...motifs.differing.map(({ here }) => ({ table: 'motifs', key: here.id, title: here.name }) as const),
      ];
      for (const row of replaced) await rowToBin(row);
      await putClients(clients.differing.map(({ there }) => there));
      await putBackOnShelf(products.differing.map(({ there }) => there));
      await putSupplies(supplies.differing.map(({ there }) => there));
      await putMotifs(motifs.differing.map(({ there }) => there));
    } else {
      // Whose sets they are, the card that is here says.
      for (const { there } of clients.differing)
        await db().clients.add({
          ...there,
          id: newClientId(),
          name: wordsWith(there.name, '(from the backup)'),
          sets: [],
        });
    }
    for (const [table, keys] of [
      ['clients', clients.fresh.map(idOf)],
      ['shelf', products.fresh.map(productIdOf)],
      ['supplies', supplies.fresh.map(idOf)],
      ['motifs', motifs.fresh.map(idOf)],
    ] as const)
      // A broken row may stand in their place.
      for (const key of keys) await rowToBin({ table, key, title: key });
    await putBackOnShelf(products.fresh);
    await putClients(clients.fresh);
    await putSupplies(supplies.fresh);
    await putMotifs(motifs.fresh);
    await db().benches.bulkPut(benches);
    await db().takings.bulkPut(takings);
    await db().worn.bulkPut(worn);
    const prices = differing === 'backup' ? (backup.pricing ?? pricing) : pricing;
    if (prices) await db().facts.put({ key: PRICING, value: JSON.stringify(prices) });
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
  const since = last || leastOf(changed.map((set) => set.changed_at));
  const days = Math.floor((now - since) / DAY_MS);
  return days >= BACKUP_DAYS ? days : undefined;
}
