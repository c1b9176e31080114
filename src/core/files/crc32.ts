/** x^32 + x^26 + … + 1, lowest bit first (ISO 3309; APPNOTE 6.3.10, 4.4.7). */
const POLYNOMIAL = 0xedb88320;

const TABLE = Uint32Array.from({ length: 256 }, (_, byte) => {
  let rest = byte;
  for (let bit = 0; bit < 8; bit += 1) rest = rest & 1 ? (rest >>> 1) ^ POLYNOMIAL : rest >>> 1;
  return rest;
});

/** The CRC-32 of some bytes, as zip files carry it; goes on from that of the bytes before. */
export function crc32(bytes: Uint8Array, before = 0): number {
  let rest = ~before;
  for (let i = 0; i < bytes.length; i += 1) rest = TABLE[(rest ^ bytes[i]!) & 255]! ^ (rest >>> 8);
  return ~rest >>> 0;
}
