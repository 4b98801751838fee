import { Inflate } from 'fflate';
import { crc32 } from './crc32';
import { REFUSED, Refused, type ZipEntry } from './zipEntries';

/** Packed bytes are handed on in pieces of this size, so that a file that grows beyond its claim is given up early. */
const PIECE = 16_384;

function inflated(packed: Uint8Array, size: number): Uint8Array {
  const out = new Uint8Array(size);
  let filled = 0;
  const stream = new Inflate((piece) => {
    if (filled + piece.length > size) throw new Refused(REFUSED.large);
    out.set(piece, filled);
    filled += piece.length;
  });
  try {
    for (let at = 0; at < packed.length || at === 0; at += PIECE)
      stream.push(packed.subarray(at, at + PIECE), at + PIECE >= packed.length);
  } catch (error) {
    throw error instanceof Refused ? error : new Refused(REFUSED.zip);
  }
  if (filled !== size) throw new Refused(REFUSED.zip);
  return out;
}

/** The bytes of one file of a zip. Errors: `Refused` where they are not what the directory claims, to the last bit. */
export async function unzipped(file: Blob, { from, to, packed, size, sum }: ZipEntry): Promise<Uint8Array> {
  const bytes = new Uint8Array(await file.slice(from, to).arrayBuffer());
  const whole = packed ? inflated(bytes, size) : bytes;
  if (crc32(whole) !== sum) throw new Refused(REFUSED.zip);
  return whole;
}
