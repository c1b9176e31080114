import { inflateSync, strFromU8 } from 'fflate';
import { messageOf } from '../model/messageOf';
import { fail, ok, type Result } from '../model/result';
import { crc32 } from './crc32';
import { END_BYTES, sumOf, zipEnd } from './zipSums';

/*
 * Zip files as they lie on a disk, each file in one read as it is asked for (APPNOTE 6.3.10): what is in one may be larger than the
 * room there is. Every file's CRC-32, which stands in the directory at the end, is held against what is read.
 */
const ENTRY = 0x02014b50;
const ENTRY_BYTES = 46;
const LOCAL = 0x04034b50;
const LOCAL_BYTES = 30;
const STORED = 0;
const DEFLATED = 8;
/** A directory of more is none of ours. */
const MOST_DIRECTORY_BYTES = 16 * 1024 * 1024;

export const DAMAGED = 'is damaged: its bytes are not those it was made with. Nothing of it was taken in';

/** A file in a zip, as the directory tells of it. */
export interface ZipEntry {
  path: string;
  /** As it is unpacked. */
  bytes: number;
  packed_bytes: number;
  method: number;
  sum: number;
  at: number;
}

const read = async (file: Blob, from: number, to: number) =>
  new Uint8Array(await file.slice(from, to).arrayBuffer());
const viewOf = (bytes: Uint8Array) => new DataView(bytes.buffer, bytes.byteOffset, bytes.byteLength);

/** What is in a zip file, by name; `sealed`: every byte of it has been held against its seal. */
export interface ZipListing {
  entries: Map<string, ZipEntry>;
  sealed: boolean;
}

/** What is in a zip file; folders are passed over. A file whose seal does not fit is damaged. */
export async function zipEntries(file: Blob): Promise<Result<ZipListing>> {
  const head = await read(file, 0, 4);
  if (head.length < 4 || viewOf(head).getUint32(0, true) !== LOCAL)
    return fail('', 'this is not a zip file that can be read');
  const found = await zipEnd(file);
  if (!found) return fail('', `this file ${DAMAGED}`);
  const end = viewOf(await read(file, found.at, found.at + END_BYTES));
  const [count, length, from] = [end.getUint16(10, true), end.getUint32(12, true), end.getUint32(16, true)];
  if (from + length > found.at || length > MOST_DIRECTORY_BYTES) return fail('', `this file ${DAMAGED}`);
  const directory = await read(file, from, from + length);
  const view = viewOf(directory);
  const entries = new Map<string, ZipEntry>();
  let at = 0;
  let seen = 0;
  while (at + ENTRY_BYTES <= directory.length && view.getUint32(at, true) === ENTRY) {
    const [name, extra, comment] = [28, 30, 32].map((where) => view.getUint16(at + where, true)) as [
      number,
      number,
      number,
    ];
    const path = strFromU8(directory.subarray(at + ENTRY_BYTES, at + ENTRY_BYTES + name));
    seen += 1;
    if (!path.endsWith('/')) {
      if (entries.has(path)) return fail(path, 'is twice in this file: nothing of it was taken in');
      entries.set(path, {
        path,
        bytes: view.getUint32(at + 24, true),
        packed_bytes: view.getUint32(at + 20, true),
        method: view.getUint16(at + 10, true),
        sum: view.getUint32(at + 16, true),
        at: view.getUint32(at + 42, true),
      });
    }
    at += ENTRY_BYTES + name + extra + comment;
  }
  return seen === count ? ok({ entries, sealed: found.sealed }) : fail('', `this file ${DAMAGED}`);
}

/** One file of a zip, unpacked and held against its sum. */
export async function zipBytes(file: Blob, entry: ZipEntry): Promise<Result<Uint8Array>> {
  const packed = await packedOf(file, entry);
  if (!packed) return fail(entry.path, DAMAGED);
  try {
    const data = new Uint8Array(await packed.arrayBuffer());
    // Never more than the directory says, whatever comes out of it.
    const bytes = entry.method === DEFLATED ? inflateSync(data, { out: new Uint8Array(entry.bytes) }) : data;
    return bytes.length === entry.bytes && crc32(bytes) === entry.sum ? ok(bytes) : fail(entry.path, DAMAGED);
  } catch (error) {
    return fail(entry.path, `${DAMAGED} (${messageOf(error)})`);
  }
}

/** One file of a zip as it lies there: where it is not packed, it is held against its sum, or known by the seal, and not held in memory. */
export async function zipBlob(file: Blob, entry: ZipEntry, sealed: boolean): Promise<Result<Blob>> {
  if (entry.method !== STORED) {
    const bytes = await zipBytes(file, entry);
    return bytes.ok ? ok(new Blob([bytes.value.slice()])) : bytes;
  }
  const blob = await packedOf(file, entry);
  return blob && blob.size === entry.bytes && (sealed || (await sumOf(blob)) === entry.sum)
    ? ok(blob)
    : fail(entry.path, DAMAGED);
}

async function packedOf(file: Blob, { at, packed_bytes, method }: ZipEntry): Promise<Blob | undefined> {
  const head = await read(file, at, at + LOCAL_BYTES);
  if (head.length < LOCAL_BYTES || viewOf(head).getUint32(0, true) !== LOCAL) return undefined;
  if (method !== STORED && method !== DEFLATED) return undefined;
  const from = at + LOCAL_BYTES + viewOf(head).getUint16(26, true) + viewOf(head).getUint16(28, true);
  return from + packed_bytes <= file.size ? file.slice(from, from + packed_bytes) : undefined;
}
