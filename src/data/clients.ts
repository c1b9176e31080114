import { liveQuery } from 'dexie';
import { type Client, mergedCard, newClient } from '@/core/model/client';
import { db } from './database';
import { newKey } from './journal';
import { goodRow, goodRows, readRows } from './rows';

/** Every client by name, each time one changes, in this tab or another. */
export function watchClients(
  onChange: (clients: Client[]) => void,
  onError: (error: unknown) => void,
): () => void {
  const all = async () => (await goodRows('clients')).sort((a, b) => a.name.localeCompare(b.name));
  const subscription = liveQuery(all).subscribe(onChange, onError);
  return () => subscription.unsubscribe();
}

/** An id that no client has. */
export function newClientId(): string {
  return `client-${newKey().replace(/\W/g, '').slice(-24)}`;
}

/** A client under an id that none has. Returns the card. */
export async function addClient(name: string): Promise<Client> {
  const client = newClient(newClientId(), name);
  await db().clients.add(client);
  return client;
}

/** Changes a card as it is now, whatever another tab made of it meanwhile. */
export async function changeClient(id: string, change: (client: Client) => Client): Promise<void> {
  await db().transaction('rw', db().clients, async () => {
    const client = await goodRow('clients', id);
    if (client) await db().clients.put(change(client));
  });
}

/** Takes a card away. What is returned puts it back as it was. */
export async function removeClient(id: string): Promise<(() => Promise<void>) | undefined> {
  return db().transaction('rw', db().clients, db().worn, async () => {
    const client = await db().clients.get(id);
    await db().clients.delete(id);
    // What was worn stays for what it says of builds and products; whose hands it was on goes with the card.
    const worn = await db().worn.where('client').equals(id).primaryKeys();
    await saidOf(worn, null);
    return (
      client &&
      (() =>
        db().transaction('rw', db().clients, db().worn, async () => {
          await db().clients.put(client);
          await saidOf(worn, id);
        }))
    );
  });
}

/**
 * Merges a card into another: what both say is kept, and whose hands worn sets are on with it. What is returned takes them apart again as they
 * were. Rejects where one card would not hold it all; then both stay.
 */
export async function mergeClients(into: string, from: string): Promise<(() => Promise<void>) | undefined> {
  return db().transaction('rw', db().clients, db().worn, async () => {
    const [here, other] = [await goodRow('clients', into), await goodRow('clients', from)];
    if (!here || !other || into === from) return undefined;
    const merged = mergedCard(here, other);
    if (!merged) throw new Error('one card would not hold all that both say: shorten a note first');
    const worn = await db().worn.where('client').equals(from).primaryKeys();
    await db().clients.put(merged);
    await db().clients.delete(from);
    await saidOf(worn, into);
    return () =>
      db().transaction('rw', db().clients, db().worn, async () => {
        await db().clients.bulkPut([here, other]);
        await saidOf(worn, from);
      });
  });
}

/** Says of some worn sets whose hands they are on. A row that cannot be read is left just as it is. */
async function saidOf(sets: readonly string[], client: string | null): Promise<void> {
  for (const set of sets) {
    const worn = await goodRow('worn', set);
    if (worn) await db().worn.put({ ...worn, client });
  }
}

/** Says for whom a set is made: for one client, or for nobody. */
export async function makeFor(set: string, client: string | undefined): Promise<void> {
  await db().transaction('rw', db().clients, db().worn, async () => {
    await saidOf([set], client ?? null);
    for (const one of readRows('clients', await db().clients.where('sets').equals(set).toArray()).good)
      if (one.id !== client) await db().clients.put({ ...one, sets: one.sets.filter((id) => id !== set) });
    const chosen = client === undefined ? undefined : await goodRow('clients', client);
    if (chosen && !chosen.sets.includes(set))
      await db().clients.put({ ...chosen, sets: [...chosen.sets, set] });
  });
}

/** For whom a set is made; undefined where it is for nobody. */
export async function clientOf(set: string): Promise<Client | undefined> {
  return readRows('clients', await db().clients.where('sets').equals(set).toArray()).good[0];
}
