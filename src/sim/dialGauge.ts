/** A dial gauge on a stand, made up: it reads a wheel that leans and has a bend, at even steps round one turn. */

function dice(seed: number): number {
  let h = (seed ^ 0x9e3779b9) >>> 0;
  h = Math.imul(h ^ (h >>> 16), 0x21f0aaad);
  h = Math.imul(h ^ (h >>> 15), 0x735a2d97);
  return ((h ^ (h >>> 15)) >>> 0) / 2 ** 32;
}

/**
 * Readings of one turn in hundredths of a millimetre: a lean of one wave, a bend of some width, and the gauge's own noise.
 * Deterministic in its seed. Example: `dialTurn(12, 1)` gives twelve readings.
 */
export function dialTurn(steps: number, seed: number): number[] {
  const lean = 0.1 + 0.3 * dice(seed);
  const leanAt = 2 * Math.PI * dice(seed + 1);
  const bend = 0.2 + 0.9 * dice(seed + 2);
  const bendAt = dice(seed + 3);
  return Array.from({ length: steps }, (_, i) => {
    const turn = i / steps;
    const off = Math.min(Math.abs(turn - bendAt), 1 - Math.abs(turn - bendAt));
    const value =
      lean * Math.cos(2 * Math.PI * turn - leanAt) +
      bend * Math.exp(-((off / 0.08) ** 2)) +
      (dice(seed + 10 + i) - 0.5) * 0.04;
    return Math.round(value * 100) / 100;
  });
}
