import { liveQuery } from 'dexie';
import { without } from '@/core/model/without';
import { ShelfItem } from '@/core/model/shelf';
import { genericShelf, onShelf } from '@/core/starter/shelf';
import { db } from './database';
import type { ShelvedItem } from './records';
import { goodRow, goodRows } from './rows';

const STOCKED = 'shelf-stocked';

const shelved = (item: ShelfItem): ShelvedItem => ({ id: item.product.id, ...item });

/** Puts the generic products on an empty shelf, once. One that was emptied since is left alone. */
export async function stockOnce(): Promise<void> {
  if (db().onlyRead) return;
  await db().transaction('rw', db().shelf, db().facts, async () => {
    if (await db().facts.get(STOCKED)) return;
    await db().shelf.bulkPut(genericShelf().map(onShelf).map(shelved));
    await db().facts.put({ key: STOCKED, value: 'yes' });
  });
}

/** The whole shelf each time it changes, by this tab or another. */
export function watchShelf(
  onChange: (items: ShelfItem[]) => void,
  onError: (error: unknown) => void,
): () => void {
  const all = async () => (await goodRows('shelf')).map((one) => without(one, 'id'));
  const subscription = liveQuery(all).subscribe(onChange, onError);
  return () => subscription.unsubscribe();
}

/** What is counted anew is counted now: what was taken before is in the count. */
function counted(before: ShelfItem | undefined, next: ShelfItem, now = new Date()): ShelfItem {
  const said = (one: ShelfItem) => JSON.stringify([one.count, one.holds, one.holds_in, one.counted_at]);
  const stands = before === undefined || said(before) === said(next) || next.counted_at !== before.counted_at;
  return stands ? next : { ...next, counted_at: now.toISOString() };
}

/** Puts products on the shelf, each in the place of the one of its id; all or none. */
export async function putOnShelf(items: readonly ShelfItem[]): Promise<void> {
  await db().transaction('rw', db().shelf, async () => {
    const before = new Map((await goodRows('shelf')).map((one) => [one.id, one]));
    await db().shelf.bulkPut(items.map((item) => shelved(counted(before.get(item.product.id), item))));
  });
}

/** Changes a product as it is now, whatever was made of it meanwhile. What comes out wrong is not kept. */
export async function changeOnShelf(id: string, change: (item: ShelfItem) => unknown): Promise<void> {
  await db().transaction('rw', db().shelf, async () => {
    const now = await goodRow('shelf', id);
    const next = now && ShelfItem.safeParse(change(without(now, 'id')));
    if (next?.success) await db().shelf.put(shelved(counted(now, next.data)));
  });
}

/** Takes products off the shelf. Sets keep the copies they carry. */
export async function takeOffShelf(ids: readonly string[]): Promise<void> {
  await db().shelf.bulkDelete([...ids]);
}
