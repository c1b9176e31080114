import { liveQuery } from 'dexie';
import { Supply } from '@/core/model/supply';
import { genericSupplies } from '@/core/starter/supplies';
import { db } from './database';
import { goodRow, goodRows } from './rows';

const STOCKED = 'supplies-stocked';

/** Puts the generic lamps, boxes, pieces and tools on an empty shelf, once. */
export async function stockSuppliesOnce(): Promise<void> {
  if (db().onlyRead) return;
  await db().transaction('rw', db().supplies, db().facts, async () => {
    if (await db().facts.get(STOCKED)) return;
    await db().supplies.bulkPut(genericSupplies());
    await db().facts.put({ key: STOCKED, value: 'yes' });
  });
}

/** All supplies by name, each time one changes, in this tab or another. */
export function watchSupplies(
  onChange: (supplies: Supply[]) => void,
  onError: (error: unknown) => void,
): () => void {
  const all = async () =>
    (await goodRows('supplies')).sort((a, b) => a.name.localeCompare(b.name, 'en', { numeric: true }));
  const subscription = liveQuery(all).subscribe(onChange, onError);
  return () => subscription.unsubscribe();
}

/** What is counted anew is counted now: what was taken before is in the count. */
function counted(before: Supply, next: Supply, now = new Date()): Supply {
  const said = (one: Supply) =>
    JSON.stringify('sizes' in one ? one.sizes : 'count' in one ? one.count : null);
  return said(before) === said(next) || !('count' in next || 'sizes' in next)
    ? next
    : { ...next, counted_at: now.toISOString() };
}

/** Puts supplies on the shelf, each in the place of the one of its id; all or none. */
export async function putSupplies(supplies: readonly Supply[]): Promise<void> {
  await db().transaction('rw', db().supplies, () => db().supplies.bulkPut([...supplies]));
}

export async function takeSupply(id: string): Promise<void> {
  await db().supplies.delete(id);
}

/** Changes a supply as it is now, whatever was made of it meanwhile. What comes out wrong is not kept. */
export async function changeSupply(id: string, change: (supply: Supply) => unknown): Promise<void> {
  await db().transaction('rw', db().supplies, async () => {
    const now = await goodRow('supplies', id);
    const next = now && Supply.safeParse(change(now));
    if (now && next?.success) await db().supplies.put(counted(now, next.data));
  });
}
