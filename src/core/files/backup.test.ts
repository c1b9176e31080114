import { unzipSync, zipSync, strToU8, strFromU8 } from 'fflate';
import fc from 'fast-check';
import { DEMO_SETS } from '../demo';
import { faultLine } from '../model/result';
import { paths } from '../regions/paths';
import { newClient, platesOf, withMeasures } from '../model/client';
import { NO_PRICING } from '../model/pricing';
import { genericShelf, onShelf } from '../starter/shelf';
import { genericSupplies } from '../starter/supplies';
import { backupBytes } from './wholeBackup';
import { emptyBackup, readBackup, type Backup } from './backup';

const plates = platesOf(DEMO_SETS[0]!.make().nails);
const PHOTO = Uint8Array.from({ length: 5000 }, (_, i) => (i * 7919) & 255);
const picture = () => new Blob([PHOTO], { type: 'image/jpeg' });
const backup = (): Backup => ({
  ...emptyBackup('2026-03-01T18:30:00.000Z'),
  sets: DEMO_SETS.map((demo, i) => ({ changed_at: 100 + i, document: demo.make() })),
  records: [{ title: 'A broken one', text: '{"id":7}' }],
  pictures: new Map([['pictures/1.jpg', picture()]]),
  lines: {
    photos: [{ id: 'p-1', set: 'matinee', taken_at: 5, width_px: 40, height_px: 30, file: 'pictures/1.jpg' }],
    references: [],
    shelf: genericShelf().map(onShelf),
    supplies: genericSupplies(),
    motifs: [
      {
        id: 'curtain',
        name: 'Curtain call',
        cure: 'all',
        colours: [{ product: genericShelf()[0]!, region: { kind: 'paths', paths: paths.fresh.paths } }],
      },
    ],
    benches: [
      {
        set: 'matinee',
        mark: 'm',
        course: [],
        events: [
          { what: 'begun', at_ms: 1000 },
          { what: 'noted', at_ms: 2000, operation: null, text: 'A warm day' },
        ],
        clock: { shift_ms: 0, seen_ms: 2000 },
      },
    ],
    takings: [
      {
        set: 'matinee',
        title: 'Matinée',
        at: '2026-02-28T21:00:00.000Z',
        lines: [{ table: 'shelf', id: 'base-a', unit: 'ul', amount: 147 }],
      },
    ],
    worn: [],
    pricing: [{ ...NO_PRICING, rate_cents: 4200, fixed: [{ words: 'Laundry', cents: 150 }] }],
    clients: [withMeasures(newClient('c', 'Robin Vale'), { on: '2026-02-03', plates })],
  },
});
/** The backup with some of its files changed, or taken out where the text is undefined. */
async function withFiles(changes: Record<string, string | undefined>): Promise<Blob> {
  const files = unzipSync(await backupBytes(backup()));
  for (const [name, text] of Object.entries(changes)) {
    if (text === undefined) Reflect.deleteProperty(files, name);
    else files[name] = strToU8(text);
  }
  return new Blob([zipSync(files).slice()]);
}
const manifest = async () =>
  JSON.parse(strFromU8(unzipSync(await backupBytes(backup()))['backup.json']!)) as Record<string, unknown>;
const firstFault = async (file: Blob) => {
  const read = await readBackup(file);
  return read.ok ? 'read' : faultLine(read.faults[0]!);
};

describe('a backup', () => {
  it('comes back as it went, its pictures too, with the same bytes each time', async () => {
    const bytes = await backupBytes(backup());
    const read = await readBackup(new Blob([bytes]));
    if (!read.ok) throw new Error('refused');
    expect(read.value).toEqual({ backup: { ...backup(), pictures: read.value.backup.pictures }, faults: [] });
    const photo = read.value.backup.pictures.get('pictures/1.jpg')!;
    expect(new Uint8Array(await photo.arrayBuffer())).toEqual(PHOTO);
    expect(await backupBytes(backup())).toEqual(bytes);
    // Another library unpacks the same.
    expect(unzipSync(bytes)['pictures/1.jpg']).toEqual(PHOTO);
  });

  it('holds each set as the file that Export writes', async () => {
    expect(Object.keys(unzipSync(await backupBytes(backup()))).sort()).toEqual([
      'backup.json',
      'clients.json',
      'motifs.json',
      'photos.json',
      'pictures/1.jpg',
      'prices.json',
      'references.json',
      'sets/curtain-up.lacquer.json',
      'sets/fly-tower.lacquer.json',
      'sets/matinee.lacquer.json',
      'sets/snow-scene.lacquer.json',
      'sets/understudy.lacquer.json',
      'shelf.csv',
      'sittings.json',
      'supplies.json',
      'taken.json',
      'unreadable/1.json',
      'worn.json',
    ]);
  });

  it('of a program that kept no sittings comes back without any; a broken record is told, and the rest is read', async () => {
    const older = await readBackup(await withFiles({ 'sittings.json': undefined }));
    expect(older.ok && older.value.backup.lines).toEqual({ ...backup().lines, benches: [] });
    expect(older.ok && older.value.faults).toEqual([]);
    const read = await readBackup(
      await withFiles({ 'sittings.json': '[{"set":"matinee","events":[{"what":"flew"}]}]' }),
    );
    expect(read.ok && read.value.faults[0]!.path).toMatch(/^sittings.json/);
    expect(read.ok && read.value.backup.lines.clients).toHaveLength(1);
  });

  it('of a program that knew no clients comes back without any; broken cards are told, and the rest is read', async () => {
    const older = await readBackup(await withFiles({ 'clients.json': undefined }));
    expect(older.ok && older.value.backup.lines).toEqual({ ...backup().lines, clients: [] });
    expect(older.ok && older.value.faults).toEqual([]);
    for (const [text, said] of [
      ['[{"id":"c"}]', 'clients.json: 0.name'],
      ['{', 'clients.json: this is not JSON'],
    ] as const) {
      const read = await readBackup(await withFiles({ 'clients.json': text }));
      if (!read.ok) throw new Error('refused');
      expect(faultLine(read.value.faults[0]!)).toContain(said);
      expect(read.value.backup.sets).toHaveLength(DEMO_SETS.length);
    }
  });

  it('tells a set that is missing or broken by its place, and reads the others', async () => {
    const read = await readBackup(
      await withFiles({
        'sets/matinee.lacquer.json': undefined,
        'sets/understudy.lacquer.json': '{"format":1}',
      }),
    );
    if (!read.ok) throw new Error('refused');
    expect(read.value.backup.sets.map((one) => one.document.id)).toEqual([
      'curtain-up',
      'fly-tower',
      'snow-scene',
    ]);
    expect(read.value.faults.map(faultLine)).toEqual([
      'sets/matinee.lacquer.json: is not in the zip file',
      'sets/understudy.lacquer.json: format: must be "merry-lacquer-set"',
    ]);
  });

  it.each<[string, () => Blob | Promise<Blob>, RegExp]>([
    ['nothing', () => new Blob(), /not a zip file/],
    ['a picture', () => new Blob([new Uint8Array([0x89, 0x50, 0x4e, 0x47, 1, 2, 3, 4])]), /not a zip file/],
    [
      'another zip',
      () => new Blob([zipSync({ 'a.txt': strToU8('a') }).slice()]),
      /^backup.json: is not in the zip file/,
    ],
    ['no JSON', () => withFiles({ 'backup.json': '{' }), /^backup.json: this is not JSON/],
    [
      'a newer one',
      async () => withFiles({ 'backup.json': JSON.stringify({ ...(await manifest()), version: 9 }) }),
      /version 9 is of a newer program/,
    ],
    [
      'unknown keys',
      async () => withFiles({ 'backup.json': JSON.stringify({ ...(await manifest()), extra: 1 }) }),
      /^backup.json: extra: is not a key/,
    ],
    [
      'a bomb',
      () => withFiles({ 'sets/big.lacquer.json': ' '.repeat(60e6) }),
      /big.lacquer.json: is too large/,
    ],
  ])('refuses %s', async (_words, file, message) => {
    expect(await firstFault(await file())).toMatch(message);
  });

  it('never throws, whatever bytes of it are changed or cut', async () => {
    const whole = await backupBytes(backup());
    await fc.assert(
      fc.asyncProperty(
        fc.integer({ min: 0, max: whole.length }),
        fc.array(fc.tuple(fc.nat(whole.length - 1), fc.nat(255)), { maxLength: 20 }),
        async (length, changes) => {
          const bytes = whole.slice(0, length);
          for (const [at, value] of changes) if (at < length) bytes[at] = value;
          expect(typeof (await readBackup(new Blob([bytes]))).ok).toBe('boolean');
        },
      ),
      { numRuns: 300 },
    );
  });
});
