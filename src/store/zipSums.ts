/** Checksums of a zip, which the unpacker leaves unread: a flipped bit in a figure of money must not pass. */

const TABLE = Uint32Array.from({ length: 256 }, (_, n) => {
  let c = n;
  for (let bit = 0; bit < 8; bit++) c = c & 1 ? 0xedb88320 ^ (c >>> 1) : c >>> 1;
  return c >>> 0;
});

/** CRC-32 of some bytes, as zip files use it. Example: of "123456789" it is 0xcbf43926. Source: ISO 3309. */
export function crc32(data: Uint8Array): number {
  let c = 0xffffffff;
  for (const byte of data) c = TABLE[(c ^ byte) & 0xff]! ^ (c >>> 8);
  return (c ^ 0xffffffff) >>> 0;
}

const END = 0x06054b50;
const ENTRY = 0x02014b50;
const END_BYTES = 22;
const ENTRY_BYTES = 46;

/** The checksum of each file as the zip's directory has it; null when there is no readable directory. */
export function zipSums(zip: Uint8Array): Map<string, number> | null {
  const view = new DataView(zip.buffer, zip.byteOffset, zip.byteLength);
  let end = zip.byteLength - END_BYTES;
  while (end >= 0 && view.getUint32(end, true) !== END) end--;
  if (end < 0) return null;
  const sums = new Map<string, number>();
  let at = view.getUint32(end + 16, true);
  for (let i = view.getUint16(end + 10, true); i > 0; i--) {
    if (at + ENTRY_BYTES > zip.byteLength || view.getUint32(at, true) !== ENTRY) return null;
    const nameLength = view.getUint16(at + 28, true);
    const name = new TextDecoder().decode(zip.subarray(at + ENTRY_BYTES, at + ENTRY_BYTES + nameLength));
    sums.set(name, view.getUint32(at + 16, true));
    at += ENTRY_BYTES + nameLength + view.getUint16(at + 30, true) + view.getUint16(at + 32, true);
  }
  return sums;
}
