import { strFromU8, strToU8 } from 'fflate';
import { crc32 } from './crc32';

/*
 * The seal of a zip file of our own: as its comment it carries the CRC-32 of all that stands before it, so that no byte of it can change
 * unseen. One that another program has packed has none.
 */
const END = 0x06054b50;
export const END_BYTES = 22;
const SEAL = 'crc32 of all before: ';
const SEAL_BYTES = SEAL.length + 8;
/** The length of the comment is the last that a zip file says (APPNOTE 6.3.10, 4.3.16). */
const LENGTH_BYTES = 2;
/** So much of a large file is held at a time. */
const SLICE_BYTES = 4 * 1024 * 1024;

const viewOf = (bytes: Uint8Array) => new DataView(bytes.buffer, bytes.byteOffset, bytes.byteLength);
const sealOf = (sum: number) => SEAL + sum.toString(16).padStart(8, '0');

/** Seals a zip file without a comment as it is written: give it each piece, write what it gives back, and its end. */
export function sealing(): { take: (piece: Uint8Array) => Uint8Array; end: () => Uint8Array } {
  let held: Uint8Array = new Uint8Array();
  let sum = 0;
  return {
    take: (piece) => {
      const all = new Uint8Array(held.length + piece.length);
      all.set(held);
      all.set(piece, held.length);
      const cut = Math.max(0, all.length - LENGTH_BYTES);
      held = all.slice(cut);
      const out = all.subarray(0, cut);
      sum = crc32(out, sum);
      return out;
    },
    end: () => {
      const last = new Uint8Array(LENGTH_BYTES + SEAL_BYTES);
      viewOf(last).setUint16(0, SEAL_BYTES, true);
      sum = crc32(last.subarray(0, LENGTH_BYTES), sum);
      last.set(strToU8(sealOf(sum)), LENGTH_BYTES);
      return last;
    },
  };
}

/** What the end of a zip file says: where its directory stands, and whether it was sealed. */
export interface ZipEnd {
  at: number;
  sealed: boolean;
}

/**
 * The end of a zip file, and undefined where it has none that it was made with. A file of another program ends without a comment; one of ours with
 * its seal, which is held against every byte before it.
 */
export async function zipEnd(file: Blob): Promise<ZipEnd | undefined> {
  const most = END_BYTES + SEAL_BYTES;
  const from = Math.max(0, file.size - most);
  const tail = new Uint8Array(await file.slice(from).arrayBuffer());
  const view = viewOf(tail);
  const isEnd = (at: number) => at >= 0 && at + END_BYTES <= tail.length && view.getUint32(at, true) === END;
  const bare = tail.length - END_BYTES;
  if (isEnd(bare) && view.getUint16(tail.length - LENGTH_BYTES, true) === 0)
    return { at: from + bare, sealed: false };
  const at = bare - SEAL_BYTES;
  const comment = tail.length - SEAL_BYTES;
  if (!isEnd(at) || view.getUint16(comment - LENGTH_BYTES, true) !== SEAL_BYTES) return undefined;
  const said = strFromU8(tail.subarray(comment), true);
  return said === sealOf(await sumOf(file.slice(0, file.size - SEAL_BYTES)))
    ? { at: from + at, sealed: true }
    : undefined;
}

/** The CRC-32 of a file of any size. */
export async function sumOf(file: Blob): Promise<number> {
  let sum = 0;
  for (let at = 0; at < file.size; at += SLICE_BYTES)
    sum = crc32(new Uint8Array(await file.slice(at, at + SLICE_BYTES).arrayBuffer()), sum);
  return sum;
}
