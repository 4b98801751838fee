/** A caliper with a data lead, made up: it repeats to two hundredths and types what it reads. */
export const REPEATS_TO_MM = 0.02;

/** A number between 0 and 1 from a seed, the same for the same seed. */
function dice(seed: number): number {
  let h = (seed ^ 0x9e3779b9) >>> 0;
  h = Math.imul(h ^ (h >>> 16), 0x21f0aaad);
  h = Math.imul(h ^ (h >>> 15), 0x735a2d97);
  return ((h ^ (h >>> 15)) >>> 0) / 2 ** 32;
}

/**
 * What the caliper reads of a true size, to the hundredth: the size, off by as much as jaws and hand allow. Deterministic
 * in its seed. Example: `caliperReading(6.35, 1)` lies within 0.02 mm of 6.35.
 */
export function caliperReading(trueMm: number, seed: number): number {
  const off = (dice(seed) + dice(seed + 7919) - 1) * REPEATS_TO_MM;
  return Math.max(0, Math.round((trueMm + off) * 100) / 100);
}

/** The keys that its data lead presses for a reading: digits, then Enter. Example: `6.35` gives `6 . 3 5 Enter`. */
export function caliperKeys(readingMm: number): string[] {
  return [...Array.from(readingMm.toFixed(2)), 'Enter'];
}
