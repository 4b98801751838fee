const TABLE = Uint32Array.from({ length: 256 }, (_, n) => {
  let c = n;
  for (let bit = 0; bit < 8; bit++) c = c & 1 ? 0xedb88320 ^ (c >>> 1) : c >>> 1;
  return c >>> 0;
});

/** CRC-32 of some bytes, as zip files use it; `before` goes on from earlier ones. Example: of "123456789" it is 0xcbf43926. Source: ISO 3309. */
export function crc32(data: Uint8Array, before = 0): number {
  let c = ~before >>> 0;
  for (const byte of data) c = TABLE[(c ^ byte) & 0xff]! ^ (c >>> 8);
  return ~c >>> 0;
}
