import { runs } from '../testing/runs';
import { strToU8, zipSync } from 'fflate';
import fc from 'fast-check';
import * as zlib from 'node:zlib';
import { DEMO_SETS } from '../demo';
import { newClient } from '../model/client';
import { faultLine } from '../model/result';
import { backupBytes } from './wholeBackup';
import { emptyBackup, readBackup } from './backup';
import { noLines } from './backupParts';
import { crc32 } from './crc32';

const small = () =>
  backupBytes({
    ...emptyBackup('2026-03-01T18:30:00.000Z'),
    sets: [{ changed_at: 100, document: DEMO_SETS[0]!.make() }],
    lines: { ...noLines(), clients: [newClient('c', 'Imogen')] },
  });
const isRead = async (bytes: Uint8Array) => (await readBackup(new Blob([bytes.slice()]))).ok;

/** Another program's sum of a whole file, by zlib. */
const zlibSum = (bytes: Uint8Array): number => {
  // The last eight bytes of a gzip file are the CRC-32 and the length (RFC 1952, 2.3.1).
  const packed = zlib.gzipSync(bytes);
  return packed.readUInt32LE(packed.length - 8);
};

describe('sums of zip files', () => {
  it('CRC-32 is that of the published check, and of zlib', () => {
    // The check value of CRC-32/ISO-HDLC in catalogues of CRCs: the nine digits.
    expect(crc32(strToU8('123456789'))).toBe(0xcbf43926);
    fc.assert(
      fc.property(fc.uint8Array({ maxLength: 400 }), fc.nat(400), (bytes, cut) => {
        expect(crc32(bytes)).toBe(zlibSum(bytes));
        expect(crc32(bytes.subarray(cut), crc32(bytes.subarray(0, cut)))).toBe(crc32(bytes));
      }),
    );
  });

  it('a backup with any byte changed, cut off or added is refused', async () => {
    const whole = await small();
    expect(await isRead(whole)).toBe(true);
    const spoiled = fc.oneof(
      fc.record({ at: fc.nat(whole.length - 1), by: fc.integer({ min: 1, max: 255 }) }).map(({ at, by }) => {
        const bytes = whole.slice();
        bytes[at]! ^= by;
        return bytes;
      }),
      fc.nat(whole.length - 1).map((length) => whole.slice(0, length)),
      fc.uint8Array({ minLength: 1, maxLength: 40 }).map((more) => Uint8Array.from([...whole, ...more])),
    );
    await fc.assert(
      fc.asyncProperty(spoiled, async (bytes) => {
        expect(await isRead(bytes)).toBe(false);
      }),
      { numRuns: process.env.WHOLE_PROPERTIES ? 20_000 : 600 },
    );
  });

  it('any bit of its last kilobyte, where the directory stands', async () => {
    const whole = await small();
    for (let at = whole.length - 1000; at < whole.length; at += runs(3, 1))
      for (let bit = 0; bit < 8; bit += 1) {
        const bytes = whole.slice();
        bytes[at]! ^= 1 << bit;
        expect(await isRead(bytes)).toBe(false);
      }
  });

  it('a backup of an older program has no seal; what is in its files still counts', async () => {
    const plain = zipSync(
      { 'backup.json': strToU8('{"format":"none"}'), 'note.txt': strToU8('as it was') },
      { level: 0 },
    );
    const said = async (bytes: Uint8Array) => {
      const read = await readBackup(new Blob([bytes.slice()]));
      return read.ok ? 'read' : faultLine(read.faults[0]!);
    };
    expect(await said(plain)).toContain('backup.json: format');
    const bytes = plain.slice();
    const at = Buffer.from(plain).indexOf('as it was');
    bytes[at]! ^= 1;
    expect(await said(bytes)).toMatch(/^note\.txt: is damaged/);
  });
});
