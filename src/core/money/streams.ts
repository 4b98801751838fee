/**
 * Reproducible random streams. Each line of an estimate draws from a stream of its own, from seed and id (its
 * label where it has none), so that changing one line, or its words, moves no other. The generator is written out here, because the same input must
 * give the same output in every release.
 */

/** 32-bit FNV-1a hash of a text, finished with an avalanche so that near labels give far streams. */
function hash32(text: string, seed: number): number {
  let h = (0x811c9dc5 ^ seed) >>> 0;
  for (let i = 0; i < text.length; i++) h = Math.imul(h ^ text.charCodeAt(i), 0x01000193);
  h ^= h >>> 16;
  h = Math.imul(h, 0x85ebca6b);
  h ^= h >>> 13;
  h = Math.imul(h, 0xc2b2ae35);
  return (h ^ (h >>> 16)) >>> 0;
}

/**
 * A stream of uniform numbers strictly between 0 and 1 (sfc32, a small fast counting generator).
 * Example: `const next = uniformStream(1, 'resale'); next()`.
 */
export function uniformStream(seed: number, label: string): () => number {
  const low = seed >>> 0;
  const high = Math.floor(seed / 2 ** 32) >>> 0;
  let a = hash32(label, low);
  let b = hash32(label, high ^ 0x9e3779b9);
  let c = hash32(`${label}#`, low ^ high);
  let counter = 1;
  const next = () => {
    const t = (((a + b) | 0) + counter) | 0;
    counter = (counter + 1) | 0;
    a = b ^ (b >>> 9);
    b = (c + (c << 3)) | 0;
    c = (c << 21) | (c >>> 11);
    c = (c + t) | 0;
    return ((t >>> 0) + 0.5) / 4294967296;
  };
  for (let i = 0; i < 15; i++) next();
  return next;
}
