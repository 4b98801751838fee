import { sha256 } from '@noble/hashes/sha2.js';
import { bytesToHex, utf8ToBytes } from '@noble/hashes/utils.js';
import type { SignedProof } from './part';

/** Keys in their order, so that the same content is the same text wherever it was written. */
function canonical(value: unknown): unknown {
  if (Array.isArray(value)) return value.map(canonical);
  if (value === null || typeof value !== 'object') return value;
  return Object.fromEntries(
    Object.entries(value)
      .sort(([a], [b]) => (a < b ? -1 : 1))
      .map(([key, each]) => [key, canonical(each)]),
  );
}

/**
 * The sum over a signed proof: SHA-256 over everything that it says but the sum, keys in order, in hexadecimal. It shows that
 * nothing was changed since; it does not show who wrote it, since nobody holds a key.
 */
export function sumOf(signed: Omit<SignedProof, 'sum'>): string {
  const { id, at, by, way, left, accepted, qualified, lines } = signed;
  return bytesToHex(
    sha256(utf8ToBytes(JSON.stringify(canonical({ id, at, by, way, left, accepted, qualified, lines })))),
  );
}

/** Whether a signed proof still says what was signed. */
export const agreesWithItsSum = (signed: SignedProof): boolean => sumOf(signed) === signed.sum;
