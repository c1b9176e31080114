import 'fake-indexeddb/auto';
import { curtainUp } from '@/core/demo/curtainUp';
import { matinee } from '@/core/demo/matinee';
import { understudy } from '@/core/demo/understudy';
import { readBackup, type Backup } from '@/core/files/backup';
import { backupBytes, backupFile } from '@/core/files/wholeBackup';
import { NAILS } from '@/core/model/names';
import type { Worn } from '@/core/model/wear';
import { putPhoto } from './photos';
import { backupOfClient, backupOfOne, removeClientWhole } from './backup';
import { BACKUP_DAYS, backupOverdue_days, collectBackup, noteBackup, previewBackup, takeIn } from './backup';
import type { Bench } from '@/core/bench/log';
import { newClient } from '@/core/model/client';
import { benchOf, putBench, removeBench } from './benches';
import { toBin } from './bin';
import { changeClient } from './clients';
import { db } from './database';
import type { StoredSet } from './records';
import { append } from './journal';
import { addSet, openSet, saveSet } from './sets';
import { changeOnShelf, stockOnce } from './shelf';
import type { Taking } from '@/core/stock/taking';
import { changePricing, pricingNow } from './pricing';
import { seedOnce } from './starting';
import type { TableName } from './tables';

const DAY_MS = 24 * 3600 * 1000;
const titles = async () => (await db().sets.toArray()).map((one) => one.title).sort();
const ids = (sets: { document: { id: string } }[]) => sets.map((one) => one.document.id);

/** A backup as it comes back out of its file. */
async function carried(backup: Backup): Promise<Backup> {
  const read = await readBackup(await backupFile(backup));
  if (!read.ok) throw new Error(read.faults[0]!.message);
  expect(read.value.faults).toEqual([]);
  return read.value.backup;
}

/** What of a table a backup would bring. */
async function sidesOf(backup: Backup, table: TableName) {
  return (await previewBackup(backup)).tables.find((one) => one.table === table)!.sides;
}

beforeEach(async () => {
  for (const table of db().tables) await table.clear();
});

describe('a backup of the store', () => {
  it('holds every set as it was last seen, the journal’s changes too, and broken records as text', async () => {
    await addSet(curtainUp());
    await append({ set: 'curtain-up', basis: 1, step: { change: { kind: 'rename', title: 'Seen' } } }).done;
    await db().sets.put({ id: 'bad', title: 'Bad', changed_at: 1 } as StoredSet);
    const backup = await collectBackup();
    expect(backup.sets.map((one) => one.document.title)).toEqual(['Seen']);
    expect(backup.records).toEqual([{ title: 'Bad', text: expect.stringContaining('"id": "bad"') }]);
    expect(await carried(backup)).toEqual(backup);
  });

  it('brings an emptied store back as it was', async () => {
    await seedOnce();
    const before = (await db().sets.toArray()).map((one) => one.document);
    const backup = await collectBackup();
    for (const { id } of await db().sets.toArray()) await toBin(id);
    await takeIn(backup, 'both');
    expect((await db().sets.toArray()).map((one) => one.document)).toEqual(before);
    // What a tab that still has one open would save meets a later revision.
    expect((await db().sets.get('matinee'))!.revision).toBe(2);
  });

  it('brings the record of a sitting back, and leaves one that is here as it is', async () => {
    const bench = (at_ms: number): Bench => ({
      set: 'matinee',
      mark: 'm',
      course: [],
      events: [{ what: 'begun', at_ms }],
      clock: { shift_ms: 0, seen_ms: at_ms },
    });
    await addSet(matinee());
    await putBench(bench(1000));
    const backup = await collectBackup();
    expect(backup.lines.benches).toEqual([bench(1000)]);
    await removeBench('matinee');
    expect((await sidesOf(backup, 'benches')).fresh).toHaveLength(1);
    await takeIn(backup, 'both');
    expect(await benchOf('matinee')).toEqual(bench(1000));
    await putBench(bench(2000));
    await takeIn(backup, 'backup');
    expect(await benchOf('matinee')).toEqual(bench(2000));
  });

  it('brings back what sets took off the shelf, and prices; what is here stands until the backup’s is asked for', async () => {
    const taking = (amount: number): Taking => ({
      set: 'matinee',
      title: 'Matinée',
      at: '2026-05-01T20:00:00.000Z',
      lines: [{ table: 'shelf', id: 'base-a', unit: 'ul', amount }],
    });
    await db().takings.put(taking(140));
    await changePricing({ rate_cents: 4200 });
    const backup = await collectBackup();
    expect([backup.lines.takings, backup.lines.pricing[0]?.rate_cents]).toEqual([[taking(140)], 4200]);
    await db().takings.put(taking(150));
    await changePricing({ rate_cents: 5000 });
    await takeIn(backup, 'both');
    expect([await db().takings.toArray(), (await pricingNow()).rate_cents]).toEqual([[taking(150)], 5000]);
    await takeIn(backup, 'backup');
    expect((await pricingNow()).rate_cents).toBe(4200);
    for (const table of db().tables) await table.clear();
    expect((await pricingNow()).rate_cents).toBeNull();
    await takeIn(backup, 'both');
    expect([await db().takings.toArray(), (await pricingNow()).rate_cents]).toEqual([[taking(140)], 4200]);
    // What cannot be asked is not kept.
    await changePricing({ tax_percent: 400 });
    expect((await pricingNow()).tax_percent).toBe(0);
  });

  it('of one client holds the card whole; deleted for good nothing of it is left, and taken in it is as it was', async () => {
    const client = { ...newClient('client-1', 'Imogen Vale'), sensitivities: 'HEMA', sets: ['matinee'] };
    await addSet(matinee());
    await addSet(curtainUp());
    await db().clients.bulkAdd([client, newClient('client-2', 'Robin')]);
    const worn: Worn = {
      set: 'matinee',
      title: 'Matinée',
      client: 'client-1',
      made_on: '2026-03-01',
      off_on: null,
      by: 'plan',
      practice: { primer: 'once' },
      nails: Object.fromEntries(NAILS.map((nail) => [nail, null])) as Worn['nails'],
    };
    await db().worn.add(worn);
    await putPhoto({
      id: 'p',
      set: 'matinee',
      taken_at: 1,
      picture: new Blob(['seen'], { type: 'image/jpeg' }),
      width_px: 1,
      height_px: 1,
    });
    await append({ set: 'matinee', basis: 1, step: { change: { kind: 'rename', title: 'For Imogen Vale' } } })
      .done;
    const backup = await collectBackup();
    const whole = await backupOfClient('client-1');
    const { lines } = whole;
    expect([whole.sets.length, lines.clients.length, lines.worn.length, lines.photos.length]).toEqual([
      1, 1, 1, 1,
    ]);
    const file = await carried(whole);
    await removeClientWhole('client-1');
    for (const table of db().tables) {
      const text = JSON.stringify(await table.toArray());
      for (const word of ['Imogen', 'client-1', 'HEMA'])
        expect([table.name, text.includes(word)]).toEqual([table.name, false]);
    }
    expect(await db().photos.count()).toBe(0);
    expect((await db().clients.toArray()).map(({ name }) => name)).toEqual(['Robin']);
    await takeIn(file, 'both');
    const kept = (await db().photos.toArray())[0]!;
    expect([kept.set, await kept.picture.text(), kept.picture.type]).toEqual([
      'matinee',
      'seen',
      'image/jpeg',
    ]);
    const after = await collectBackup(new Date(backup.made_at));
    expect({ ...after, sets: ids(after.sets).sort() }).toEqual({ ...backup, sets: ids(backup.sets).sort() });
    // A set that goes out alone says nothing of whose hands it was on.
    const set = after.sets.find(({ document }) => document.id === 'curtain-up')!;
    const alone = await backupBytes(await backupOfOne(set.document, 1));
    expect(new TextDecoder('latin1').decode(alone)).not.toMatch(/Imogen|client-1|HEMA/);
  });

  it('says what it would do, and does it: as copies, or with what was here in the bin', async () => {
    await addSet(curtainUp());
    await addSet(matinee());
    const backup = await collectBackup();
    backup.sets.push({ changed_at: 5, document: understudy() });
    await saveSet({ ...curtainUp(), title: 'Mine' }, 1);
    const preview = await previewBackup(backup);
    const { fresh, same, differing } = preview.sets;
    expect(differing[0]!.here.document.title).toBe('Mine');
    expect(differing[0]!.here.changed_at).toBeGreaterThan(differing[0]!.there.changed_at);
    expect([ids(fresh), ids(same), ids(differing.map((one) => one.there))]).toEqual([
      ['understudy'],
      ['matinee'],
      ['curtain-up'],
    ]);
    await takeIn(backup, 'both');
    expect(await titles()).toEqual(['Curtain Up (from the backup)', 'Matinée', 'Mine', 'Understudy']);
    await takeIn(backup, 'backup');
    expect(await titles()).toEqual(['Curtain Up', 'Curtain Up (from the backup)', 'Matinée', 'Understudy']);
    expect((await db().bin.toArray()).map((one) => one.title)).toEqual(['Mine']);
  });

  it('offers cards and products that were changed since, and says so', async () => {
    await stockOnce();
    await db().clients.add({ ...newClient('client-1', 'Imogen'), note: 'as it was' });
    const backup = await collectBackup();
    for (const { sides } of (await previewBackup(backup)).tables)
      expect(sides).toEqual({ fresh: [], differing: [] });
    await changeClient('client-1', (card) => ({ ...card, note: 'changed', sets: ['matinee'] }));
    const { id } = (await db().shelf.toArray())[0]!;
    await changeOnShelf(id, (item) => ({ ...item, count: 7 }));
    expect((await sidesOf(backup, 'clients')).differing).toMatchObject([
      { there: { note: 'as it was' }, here: { note: 'changed' } },
    ]);
    expect((await sidesOf(backup, 'shelf')).differing).toMatchObject([{ here: { count: 7 } }]);
    await takeIn(backup, 'both');
    const cards = (await db().clients.toArray()).map(({ name, note, sets }) => [name, note, sets]);
    expect(new Map(cards.map(([name, ...rest]) => [name, rest]))).toEqual(
      new Map([
        ['Imogen', ['changed', ['matinee']]],
        ['Imogen (from the backup)', ['as it was', []]],
      ]),
    );
    expect((await db().shelf.get(id))!.count).toBe(7);
    await takeIn(backup, 'backup');
    expect(await db().clients.get('client-1')).toMatchObject({ note: 'as it was' });
    expect((await db().shelf.get(id))!.count).toBeNull();
    // What was here can be put back once its place is free.
    expect((await db().bin.toArray()).map((one) => one.table).sort()).toEqual(['clients', 'shelf']);
  });

  it('is taken in whole or not at all', async () => {
    await addSet(matinee());
    const backup = await collectBackup();
    await toBin('matinee');
    backup.sets.push({ changed_at: 1, document: curtainUp() });
    const really = db().sets.add.bind(db().sets);
    const add = jest
      .spyOn(db().sets, 'add')
      .mockImplementationOnce((one) => really(one))
      .mockImplementationOnce(() => {
        throw new DOMException('full', 'QuotaExceededError');
      });
    await expect(takeIn(backup, 'both')).rejects.toThrow('full');
    add.mockRestore();
    expect(await titles()).toEqual([]);
  });

  it('is asked for where the artist’s own changes have gone without for long', async () => {
    await seedOnce();
    expect(await backupOverdue_days(Date.now() + 100 * DAY_MS)).toBeUndefined();
    const opened = await openSet('matinee');
    if (!opened.ok) throw new Error('not opened');
    await saveSet({ ...opened.value.set, title: 'Mine' }, 1);
    const now = Date.now() + 1;
    expect(await backupOverdue_days(now + (BACKUP_DAYS - 1) * DAY_MS)).toBeUndefined();
    expect(await backupOverdue_days(now + (BACKUP_DAYS + 1) * DAY_MS)).toBe(BACKUP_DAYS + 1);
    await noteBackup(Date.now() + 1000);
    expect(await backupOverdue_days(now + 100 * DAY_MS)).toBeUndefined();
  });
});
