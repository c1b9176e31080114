import { strFromU8, strToU8 } from 'fflate';
import type { Fault } from '../model/result';
import { crc32 } from './crc32';

/*
 * Sums of a zip file. Every file in one has its CRC-32 in the directory at the end (APPNOTE 6.3.10, 4.3.12); those of
 * our own carry, as their comment, the sum of all that stands before it: no byte of theirs can change unseen.
 */
const END = 0x06054b50;
const END_BYTES = 22;
const ENTRY = 0x02014b50;
const ENTRY_BYTES = 46;
const SEAL = 'crc32 of all before: ';
const SEAL_BYTES = SEAL.length + 8;

const viewOf = (bytes: Uint8Array) => new DataView(bytes.buffer, bytes.byteOffset, bytes.byteLength);

/** A zip file without a comment, with its seal as the comment. */
export function sealed(zip: Uint8Array): Uint8Array {
  const whole = new Uint8Array(zip.length + SEAL_BYTES);
  whole.set(zip);
  viewOf(whole).setUint16(zip.length - 2, SEAL_BYTES, true);
  const sum = crc32(whole.subarray(0, zip.length));
  whole.set(strToU8(SEAL + sum.toString(16).padStart(8, '0')), zip.length);
  return whole;
}

/**
 * What tells that a zip file is not as it was made: its seal, and the sums and sizes of the files in it, as unpacked.
 * One that another program has packed has no seal.
 */
export function sumFault(zip: Uint8Array, files: Record<string, Uint8Array>): Fault | undefined {
  const seal = sealFault(zip);
  if (seal) return { path: '', message: seal };
  return entryFault(zip, files);
}

const DAMAGED = 'is damaged: its bytes are not those it was made with. Nothing of it was taken in';

function sealFault(zip: Uint8Array): string | undefined {
  const view = viewOf(zip);
  const isEnd = (at: number) => at >= 0 && view.getUint32(at, true) === END;
  const bare = zip.length - END_BYTES;
  if (isEnd(bare) && view.getUint16(zip.length - 2, true) === 0) return undefined;
  const end = bare - SEAL_BYTES;
  const at = zip.length - SEAL_BYTES;
  if (!isEnd(end) || view.getUint16(at - 2, true) !== SEAL_BYTES) return `this file ${DAMAGED}`;
  const seal = SEAL + crc32(zip.subarray(0, at)).toString(16).padStart(8, '0');
  return strFromU8(zip.subarray(at), true) === seal ? undefined : `this file ${DAMAGED}`;
}

function entryFault(zip: Uint8Array, files: Record<string, Uint8Array>): Fault | undefined {
  const view = viewOf(zip);
  const damaged = (path: string): Fault => ({ path, message: DAMAGED });
  // The end was found by whoever unpacked it; with a seal it stands before that.
  let end = zip.length - END_BYTES;
  while (end >= 0 && view.getUint32(end, true) !== END) end -= 1;
  if (end < 0) return damaged('');
  let at = view.getUint32(end + 16, true);
  let count = 0;
  while (at + ENTRY_BYTES <= end && view.getUint32(at, true) === ENTRY) {
    const [sum, size] = [view.getUint32(at + 16, true), view.getUint32(at + 24, true)];
    const [name, extra, comment] = [28, 30, 32].map((from) => view.getUint16(at + from, true)) as [
      number,
      number,
      number,
    ];
    const path = strFromU8(zip.subarray(at + ENTRY_BYTES, at + ENTRY_BYTES + name));
    const data = Object.hasOwn(files, path) ? files[path]! : undefined;
    const isFolder = path.endsWith('/');
    if (!isFolder && (!data || data.length !== size || crc32(data) !== sum)) return damaged(path);
    at += ENTRY_BYTES + name + extra + comment;
    count += 1;
  }
  return count === view.getUint16(end + 10, true) ? undefined : damaged('');
}
