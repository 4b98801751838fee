/**
 * Arithmetic that every calculator shares. Floating point must not decide a verdict: comparisons and
 * floors allow a relative error of 1e-9, and *at* a limit counts as reached.
 */

const RELATIVE_TOLERANCE = 1e-9;

function slack(a: number, b: number): number {
  return RELATIVE_TOLERANCE * Math.max(1e-9, Math.abs(a), Math.abs(b));
}

/** True when `value` has reached `limit`, at the limit included. Example: `atLeast(0.1 + 0.2, 0.3)` is true. */
export function atLeast(value: number, limit: number): boolean {
  return value >= limit - slack(value, limit);
}

/** True when `value` is strictly over `limit` by more than rounding error. */
export function moreThan(value: number, limit: number): boolean {
  return !atLeast(limit, value);
}

/** Floor that forgives rounding error. Example: `floorForgiving(0.3 * 10)` is 3. */
export function floorForgiving(value: number): number {
  return plainZero(Math.floor(value + slack(value, value)));
}

/** Turns −0 into 0, so that no output carries a signed zero. */
export function plainZero(value: number): number {
  return value === 0 ? 0 : value;
}

/** Rounds half up to a whole number (−2.5 → −2), forgiving rounding error just under a half. */
export function roundHalfUp(value: number): number {
  return plainZero(Math.floor(value + 0.5 + slack(value, value)));
}

/** Rounds half up to `decimals` places; for values that are shown, never for values that are judged. */
export function roundTo(value: number, decimals: number): number {
  const factor = 10 ** decimals;
  return plainZero(roundHalfUp(value * factor) / factor);
}

/** Millimetres as whole micrometres, so that balls are compared as integers. */
export function wholeMicrometres(mm: number): number {
  return roundHalfUp(mm * 1000);
}

/** Arithmetic mean of a non-empty list. */
export function mean(values: ArrayLike<number>): number {
  let sum = 0;
  for (let i = 0; i < values.length; i++) sum += values[i]!;
  return sum / values.length;
}

/**
 * Quantile of an ascending list by linear interpolation at (n−1)·q.
 * Example: `quantileSorted([0, 10], 0.25)` is 2.5.
 */
export function quantileSorted(sorted: ArrayLike<number>, q: number): number {
  const at = (sorted.length - 1) * q;
  const below = Math.floor(at);
  const low = sorted[below]!;
  const high = sorted[Math.min(below + 1, sorted.length - 1)]!;
  return low + (high - low) * (at - below);
}

/** Keeps a value between two bounds. */
export function clamp(value: number, low: number, high: number): number {
  return Math.min(high, Math.max(low, value));
}

/** Standard normal cumulative distribution: Abramowitz and Stegun 26.2.17 (error under 7.5e-8). */
export function normalCdf(z: number): number {
  const t = 1 / (1 + 0.2316419 * Math.abs(z));
  const tail =
    0.3989422804014327 *
    Math.exp((-z * z) / 2) *
    t *
    (0.31938153 + t * (-0.356563782 + t * (1.781477937 + t * (-1.821255978 + t * 1.330274429))));
  return z >= 0 ? 1 - tail : tail;
}
