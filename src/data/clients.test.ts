import 'fake-indexeddb/auto';
import { curtainUp } from '@/core/demo/curtainUp';
import { newClient, platesOf, type Client } from '@/core/model/client';
import { addClient, changeClient, makeFor, mergeClients, removeClient, watchClients } from './clients';
import { collectBackup, previewBackup, takeIn } from './backup';
import { db } from './database';
import { NAILS } from '@/core/model/names';
import type { Worn } from '@/core/model/wear';
import { addNewSet } from './starting';
import { beginWorn, changeWorn, removeWorn } from './worn';
import { openSet, titlesOf } from './sets';
import { toBin } from './bin';

const all = () => db().clients.toArray();
const setsOf = async (id: string) => (await db().clients.get(id))?.sets;

describe('clients', () => {
  beforeEach(async () => {
    await db().clients.clear();
  });

  it('are told by name, each time one changes', async () => {
    const seen: string[][] = [];
    let told: () => void = () => undefined;
    const next = () => new Promise<void>((done) => (told = done));
    const first = next();
    const stop = watchClients((clients: Client[]) => {
      seen.push(clients.map((one) => one.name));
      told();
    }, told);
    await first;
    for (const name of ['Wren', 'Ash']) {
      const after = next();
      await addClient(name);
      await after;
    }
    stop();
    expect(seen.at(-1)).toEqual(['Ash', 'Wren']);
  });

  it('have ids that never meet', async () => {
    for (let i = 0; i < 50; i += 1) await addClient('Same');
    expect(new Set((await all()).map((one) => one.id)).size).toBe(50);
  });

  it('a set is made for one of them, or for nobody', async () => {
    const [a, b] = [await addClient('A'), await addClient('B')];
    await makeFor('one', a.id);
    await makeFor('two', a.id);
    await makeFor('one', b.id);
    await makeFor('one', b.id);
    expect([await setsOf(a.id), await setsOf(b.id)]).toEqual([['two'], ['one']]);
    await makeFor('one', undefined);
    expect(await setsOf(b.id)).toEqual([]);
    await makeFor('two', 'nobody-of-that-id');
    expect(await setsOf(a.id)).toEqual([]);
  });

  it('two changes at once both count', async () => {
    const { id } = await addClient('A');
    await Promise.all([
      changeClient(id, (one) => ({ ...one, note: 'kept' })),
      changeClient(id, (one) => ({ ...one, sensitivities: 'told' })),
    ]);
    expect(await db().clients.get(id)).toMatchObject({ note: 'kept', sensitivities: 'told' });
    await changeClient('gone', (one) => ({ ...one, note: 'lost' }));
    expect(await all()).toHaveLength(1);
  });

  it('one that is removed comes back as it was, and its sets stay', async () => {
    const { id } = await addClient('A');
    const set = await addNewSet();
    await makeFor(set, id);
    const before = await db().clients.get(id);
    const putBack = await removeClient(id);
    expect(await all()).toEqual([]);
    expect((await openSet(set)).ok).toBe(true);
    await putBack!();
    expect(await db().clients.get(id)).toEqual(before);
    expect(await removeClient('none')).toBeUndefined();
  });

  it('a set begun with measures has them; one that is removed has no title any more', async () => {
    const made = await openSet(await addNewSet());
    if (!made.ok) throw new Error('not there');
    const nails = structuredClone(made.value.set.nails);
    const plates = Object.fromEntries(
      Object.entries(nails).map(([name, nail]) => [name, { ...nail.plate, width_mm: 7.5 }]),
    ) as Client['measures'][number]['plates'];
    const id = await addNewSet(plates);
    const measured = await openSet(id);
    expect(measured.ok && measured.value.set.nails['right-thumb'].plate.width_mm).toBe(7.5);
    expect([...(await titlesOf([id, 'none']))]).toEqual([[id, expect.stringMatching(/^Set of \d/)]]);
    await toBin(id);
    expect((await titlesOf([id])).size).toBe(0);
  });

  it('whose hands a worn set is on goes with the card, and comes back with it', async () => {
    const { id } = await addClient('Mine');
    const made = await addNewSet();
    const nails = Object.fromEntries(NAILS.map((nail) => [nail, null])) as Worn['nails'];
    await beginWorn({
      set: made,
      title: 'Set',
      client: null,
      made_on: '2026-03-01',
      off_on: null,
      by: 'plan',
      practice: {},
      nails,
    });
    await makeFor(made, id);
    expect((await db().worn.get(made))!.client).toBe(id);
    // Begun once more, what was noted stands.
    await changeWorn(made, (worn) => ({ ...worn, off_on: '2026-03-20' }));
    await beginWorn({ ...(await db().worn.get(made))!, off_on: null });
    expect((await db().worn.get(made))!.off_on).toBe('2026-03-20');
    const putBack = await removeClient(id);
    // Nothing of the card is left anywhere in the store.
    for (const table of db().tables) expect(JSON.stringify(await table.toArray())).not.toContain(id);
    await putBack!();
    expect((await db().worn.get(made))!.client).toBe(id);
    const gone = await removeWorn(made);
    expect(await db().worn.count()).toBe(0);
    await gone!();
    expect(await db().worn.count()).toBe(1);
  });

  it('go into a backup; those that are missing come back from it, and none is written over', async () => {
    const { id } = await addClient('Mine');
    await addClient('Theirs');
    await changeClient(id, (one) => ({ ...one, note: 'kept' }));
    const backup = await collectBackup();
    const fresh = async () => {
      const { tables } = await previewBackup(backup);
      return tables.find(({ table }) => table === 'clients')!.sides.fresh;
    };
    expect(await fresh()).toEqual([]);
    await removeClient(id);
    expect(await fresh()).toMatchObject([{ name: 'Mine' }]);
    await db().clients.toCollection().modify({ note: 'written since' });
    await takeIn(backup, 'both');
    expect(await db().clients.get(id)).toMatchObject({ name: 'Mine', note: 'kept' });
    expect((await all()).find(({ name }) => name === 'Theirs')!.note).toBe('written since');
  });
});

describe('two cards of one client', () => {
  beforeEach(async () => {
    await db().clients.clear();
    await db().worn.clear();
  });

  const card = (id: string, over: Partial<Client>): Client => ({ ...newClient(id, id), ...over });
  const worn = (set: string, client: string): Worn => ({
    set,
    title: set,
    client,
    made_on: '2026-03-01',
    off_on: null,
    by: 'plan',
    practice: {},
    nails: Object.fromEntries(NAILS.map((nail) => [nail, null])) as Worn['nails'],
  });
  const plates = platesOf(curtainUp().nails);

  it('become one that says what both say, and can be taken apart again as they were', async () => {
    const measured = (on: string, width_mm: number) => ({
      on,
      plates: { ...plates, 'left-ring': { ...plates['left-ring'], width_mm } },
    });
    await db().clients.bulkAdd([
      card('a', {
        sensitivities: 'HEMA',
        note: 'Guitar',
        measures: [measured('2026-03-01', 11)],
        sets: ['x', 'y'],
      }),
      card('b', {
        sensitivities: 'formaldehyde',
        note: 'Swims',
        measures: [measured('2026-04-01', 12), measured('2026-03-01', 13)],
        sets: ['y', 'z'],
      }),
    ]);
    await db().worn.bulkAdd([worn('x', 'a'), worn('z', 'b')]);
    const before = [await db().clients.toArray(), await db().worn.toArray()];
    const apart = (await mergeClients('a', 'b'))!;
    const [one, ...others] = await db().clients.toArray();
    expect(others).toEqual([]);
    expect(one).toMatchObject({
      name: 'a',
      sensitivities: 'HEMA, formaldehyde',
      note: 'Guitar\nSwims',
      sets: ['x', 'y', 'z'],
    });
    // Where both measured on one day, this card's stands.
    expect(one!.measures.map(({ on, plates: of }) => [on, of['left-ring'].width_mm])).toEqual([
      ['2026-04-01', 12],
      ['2026-03-01', 11],
    ]);
    expect((await db().worn.toArray()).map(({ client }) => client)).toEqual(['a', 'a']);
    await apart();
    expect([await db().clients.toArray(), await db().worn.toArray()]).toEqual(before);
  });

  it('stay two where one would not hold it all, and where there is no other', async () => {
    await db().clients.bulkAdd([
      card('a', { note: 'x'.repeat(1500) }),
      card('b', { note: 'y'.repeat(1500) }),
    ]);
    await expect(mergeClients('a', 'b')).rejects.toThrow('would not hold');
    expect(await db().clients.count()).toBe(2);
    expect(await mergeClients('a', 'a')).toBeUndefined();
    expect(await mergeClients('a', 'gone')).toBeUndefined();
    expect(await db().clients.count()).toBe(2);
  });
});
