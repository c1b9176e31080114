import { unzipSync, zipSync, strToU8, strFromU8 } from 'fflate';
import fc from 'fast-check';
import { DEMO_SETS } from '../demo';
import { faultLine } from '../model/result';
import { paths } from '../regions/paths';
import { newClient, platesOf, withMeasures } from '../model/client';
import { NO_PRICING } from '../model/pricing';
import { genericShelf, onShelf } from '../starter/shelf';
import { genericSupplies } from '../starter/supplies';
import { readBackup, writeBackup, type Backup } from './backup';

const plates = platesOf(DEMO_SETS[0]!.make().nails);
const backup = (): Backup => ({
  made_at: '2026-03-01T18:30:00.000Z',
  sets: DEMO_SETS.map((demo, i) => ({ changed_at: 100 + i, document: demo.make() })),
  records: [{ title: 'A broken one', text: '{"id":7}' }],
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
  pricing: { ...NO_PRICING, rate_cents: 4200, fixed: [{ words: 'Laundry', cents: 150 }] },
  clients: [withMeasures(newClient('c', 'Robin Vale'), { on: '2026-02-03', plates })],
});
/** The backup with some of its files changed, or taken out where the text is undefined. */
function withFiles(changes: Record<string, string | undefined>): Uint8Array {
  const files = unzipSync(writeBackup(backup()));
  for (const [name, text] of Object.entries(changes)) {
    if (text === undefined) Reflect.deleteProperty(files, name);
    else files[name] = strToU8(text);
  }
  return zipSync(files);
}
const manifest = () =>
  JSON.parse(strFromU8(unzipSync(writeBackup(backup()))['backup.json']!)) as Record<string, unknown>;
const firstFault = (bytes: Uint8Array) => {
  const read = readBackup(bytes);
  return read.ok ? 'read' : faultLine(read.faults[0]!);
};

describe('a backup', () => {
  it('comes back as it went, with the same bytes each time', () => {
    const bytes = writeBackup(backup());
    expect(readBackup(bytes)).toEqual({ ok: true, value: { backup: backup(), faults: [] } });
    expect(writeBackup(backup())).toEqual(bytes);
  });

  it('holds each set as the file that Export writes', () => {
    expect(Object.keys(unzipSync(writeBackup(backup()))).sort()).toEqual([
      'backup.json',
      'clients.json',
      'motifs.json',
      'prices.json',
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

  it('of a program that kept no sittings comes back without any; a broken record is told, and the rest is read', () => {
    const older = readBackup(withFiles({ 'sittings.json': undefined }));
    expect(older).toEqual({ ok: true, value: { backup: { ...backup(), benches: [] }, faults: [] } });
    const read = readBackup(withFiles({ 'sittings.json': '[{"set":"matinee","events":[{"what":"flew"}]}]' }));
    expect(read.ok && read.value.faults[0]!.path).toMatch(/^sittings.json/);
    expect(read.ok && read.value.backup.clients).toHaveLength(1);
  });

  it('of a program that knew no clients comes back without any; broken cards are told, and the rest is read', () => {
    const older = readBackup(withFiles({ 'clients.json': undefined }));
    expect(older).toEqual({ ok: true, value: { backup: { ...backup(), clients: [] }, faults: [] } });
    for (const [text, said] of [
      ['[{"id":"c"}]', 'clients.json: 0.name'],
      ['{', 'clients.json: this is not JSON'],
    ] as const) {
      const read = readBackup(withFiles({ 'clients.json': text }));
      if (!read.ok) throw new Error('refused');
      expect(faultLine(read.value.faults[0]!)).toContain(said);
      expect(read.value.backup.sets).toHaveLength(DEMO_SETS.length);
    }
  });

  it('tells a set that is missing or broken by its place, and reads the others', () => {
    const read = readBackup(
      withFiles({ 'sets/matinee.lacquer.json': undefined, 'sets/understudy.lacquer.json': '{"format":1}' }),
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

  it.each<[string, () => Uint8Array, RegExp]>([
    ['nothing', () => new Uint8Array(), /not a zip file/],
    ['a picture', () => new Uint8Array([0x89, 0x50, 0x4e, 0x47, 1, 2, 3, 4]), /not a zip file/],
    ['another zip', () => zipSync({ 'a.txt': strToU8('a') }), /^backup.json: is not in the zip file/],
    ['no JSON', () => withFiles({ 'backup.json': '{' }), /^backup.json: this is not JSON/],
    [
      'a newer one',
      () => withFiles({ 'backup.json': JSON.stringify({ ...manifest(), version: 9 }) }),
      /version 9 is of a newer program/,
    ],
    [
      'unknown keys',
      () => withFiles({ 'backup.json': JSON.stringify({ ...manifest(), extra: 1 }) }),
      /^backup.json: extra: is not a key/,
    ],
    [
      'a bomb',
      () => withFiles({ 'sets/big.lacquer.json': ' '.repeat(60e6) }),
      /big.lacquer.json: is too large/,
    ],
  ])('refuses %s', (_words, bytes, message) => {
    expect(firstFault(bytes())).toMatch(message);
  });

  it('never throws, whatever bytes of it are changed or cut', () => {
    const whole = writeBackup(backup());
    fc.assert(
      fc.property(
        fc.integer({ min: 0, max: whole.length }),
        fc.array(fc.tuple(fc.nat(whole.length - 1), fc.nat(255)), { maxLength: 20 }),
        (length, changes) => {
          const bytes = whole.slice(0, length);
          for (const [at, value] of changes) if (at < length) bytes[at] = value;
          expect(typeof readBackup(bytes).ok).toBe('boolean');
        },
      ),
      { numRuns: 300 },
    );
  });
});
