import 'fake-indexeddb/auto';
import ICAL from 'ical.js';
import Papa from 'papaparse';
import * as yauzl from 'yauzl';
import { aYear, type AYear } from '../../tests/aYear';
import { writeSetText } from '@/core/document/parse';
import { readBackup } from '@/core/files/backup';
import { backupBytes } from '@/core/files/wholeBackup';
import { dayAfter } from '@/core/model/days';
import { NAILS } from '@/core/model/names';
import { runs } from '@/core/testing/runs';
import { wornNails } from '@/core/wear/held';
import { weekOf } from '@/core/wear/week';
import { weekFile } from '@/core/wear/weekFile';
import { groupsOf } from '@/core/wear/groups';
import { backupOfClient, collectBackup, removeClientWhole, takeIn } from './backup';
import { db } from './database';
import { stockOnce } from './shelf';
import { stockSuppliesOnce } from './supplies';

/** No two pictures are alike. */
const pictureOf = (id: string) => new Blob([`picture of ${id}`], { type: 'image/jpeg' });

/** A whole year in the store. */
async function furnished(year: AYear): Promise<void> {
  for (const table of db().tables) await table.clear();
  await stockOnce();
  await stockSuppliesOnce();
  await db().sets.bulkAdd(
    year.sets.map(({ document, changed_at }) => ({
      id: document.id,
      title: document.title,
      changed_at,
      revision: 1,
      document,
    })),
  );
  await db().clients.bulkAdd(year.clients);
  await db().worn.bulkAdd(year.worn);
  await db().benches.bulkAdd(year.benches);
  await db().takings.bulkAdd(year.takings);
  await db().photos.bulkAdd(
    year.photos.map((one) => ({ ...one, picture: pictureOf(one.id), width_px: 4, height_px: 3 })),
  );
}

/** All that is stored but for what is only of this device, with pictures as their bytes. */
async function stored(): Promise<Record<string, unknown>> {
  const all: Record<string, unknown> = {};
  for (const name of ['clients', 'worn', 'benches', 'takings', 'shelf', 'supplies'])
    all[name] = await db().table(name).toArray();
  all.sets = (await db().sets.toArray()).map(({ document, changed_at }) => [document, changed_at]);
  all.photos = await Promise.all(
    (await db().photos.toArray()).map(async ({ picture, ...one }) => [
      one,
      picture.type,
      await picture.text(),
    ]),
  );
  return all;
}

/** What is in a zip file, as another library unpacks it. */
function unzipped(bytes: Uint8Array): Promise<Map<string, Buffer>> {
  return new Promise((resolve, reject) => {
    yauzl.fromBuffer(Buffer.from(bytes), { lazyEntries: true }, (error, zip) => {
      if (error) {
        reject(error);
        return;
      }
      const files = new Map<string, Buffer>();
      zip.on('error', reject);
      zip.on('end', () => resolve(files));
      zip.on('entry', (entry: yauzl.Entry) => {
        zip.openReadStream(entry, (failed, stream) => {
          if (failed) {
            reject(failed);
            return;
          }
          const chunks: Buffer[] = [];
          stream.on('data', (chunk: Buffer) => chunks.push(chunk));
          stream.on('error', reject);
          stream.on('end', () => {
            files.set(entry.fileName, Buffer.concat(chunks));
            zip.readEntry();
          });
        });
      });
      zip.readEntry();
    });
  });
}

describe('a year at the table', () => {
  const year = aYear(runs(40, 400));

  it('goes into a file that another library unpacks, byte for byte, and comes back to equality', async () => {
    await furnished(year);
    const before = await stored();
    const bytes = await backupBytes(await collectBackup(new Date('2026-11-30T08:00:00Z')));
    const files = await unzipped(bytes);
    expect(files.size).toBe(year.sets.length + year.photos.length + 11);
    const json = (name: string) => JSON.parse(files.get(name)!.toString('utf8')) as unknown[];
    expect(json('worn.json')).toEqual(before.worn);
    expect(json('clients.json')).toEqual(before.clients);
    for (const { file, id } of json('photos.json') as { file: string; id: string }[])
      expect(files.get(file)!.toString()).toBe(`picture of ${id}`);
    const shelf = Papa.parse(files.get('shelf.csv')!.toString('utf8').trim(), { header: true });
    expect([shelf.errors, shelf.data.length]).toEqual([[], (before.shelf as unknown[]).length]);

    for (const table of db().tables) await table.clear();
    const read = await readBackup(new Blob([bytes]));
    if (!read.ok) throw new Error('refused');
    expect(read.value.faults).toEqual([]);
    await takeIn(read.value.backup, 'both');
    expect(await stored()).toEqual(before);
  }, 600_000);

  it('of one client goes out whole, leaves nothing behind, and comes back to equality', async () => {
    await furnished(year);
    const before = await stored();
    const [client] = year.clients;
    const whole = await backupBytes(await backupOfClient(client!.id));
    // Nothing of anybody else is in it.
    const text = Buffer.concat([...(await unzipped(whole)).values()]).toString('utf8');
    for (const other of year.clients.slice(1))
      for (const word of [other.name, `"${other.id}"`]) expect(text).not.toContain(word);
    await removeClientWhole(client!.id);
    const own = new Set(client!.sets);
    for (const table of db().tables)
      for (const row of await table.toArray()) {
        const said = JSON.stringify(row);
        expect(said.includes(client!.name) || said.includes(`"${client!.id}"`)).toBe(false);
        if (table.name !== 'gone') expect(own.has((row as { set?: string }).set ?? '')).toBe(false);
      }
    const read = await readBackup(new Blob([whole.slice()]));
    if (!read.ok) throw new Error('refused');
    await takeIn(read.value.backup, 'both');
    expect(await stored()).toEqual(before);
  }, 600_000);

  it('no set that goes out alone says a word of whose hands it was on', () => {
    const words = year.clients.flatMap(({ id, name, sensitivities, note }) =>
      [`"${id}"`, ...name.split(' ').filter((part) => part.length > 3), sensitivities, note].filter(Boolean),
    );
    for (const { document } of year.sets) {
      const text = writeSetText(document);
      for (const word of words) expect(text.includes(word)).toBe(false);
    }
  });

  it('week by week is a calendar that another library reads, event for event', () => {
    const whose = new Map(year.clients.flatMap(({ id, sets }) => sets.map((set) => [set, id])));
    const planned = year.sets.map(({ document: { id, title, appointment } }) => ({
      id,
      title,
      appointment,
      state: 'planned' as const,
      client: whose.get(id) ?? null,
    }));
    const kinds = new Set<string>();
    for (let week = 0; week < 52; week += 1) {
      const today = dayAfter('2025-12-01', week * 7);
      const items = weekOf(
        planned,
        year.worn.filter(({ made_on }) => made_on <= today),
        today,
      );
      const events = new ICAL.Component(ICAL.parse(weekFile(items, new Date(0))) as [])
        .getAllSubcomponents('vevent')
        .map((one) => new ICAL.Event(one));
      expect(events.map(({ startDate }) => startDate.toString().slice(0, 10))).toEqual(
        items.map(({ on }) => on),
      );
      expect(new Set(events.map(({ uid }) => uid)).size).toBe(events.length);
      for (const { kind } of items) kinds.add(kind);
    }
    expect([...kinds].sort()).toEqual(['due', 'follow-up', 'sitting']);
  });

  it('is told apart in groups whose nails are all there', () => {
    const nails = wornNails(year.worn, '2026-11-30');
    const worked = year.worn.reduce((sum, { nails: of }) => sum + NAILS.filter((nail) => of[nail]).length, 0);
    expect(nails).toHaveLength(worked);
    expect(groupsOf(nails, 'build').reduce((sum, one) => sum + one.nails.length, 0)).toBe(worked);
  });
});
