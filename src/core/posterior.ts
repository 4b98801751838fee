/** From this probability on a thing counts as identified. */
export const IDENTIFIED = 0.95;
/** The best of a table that is further off than this, in standard errors, is unknown. */
export const TOO_FAR_SIGMAS = 4;

/** Weights to probabilities, in log space so that far-off readings do not all become nought. */
export function normalised(logs: number[]): number[] {
  const top = Math.max(...logs);
  const weights = logs.map((log) => Math.exp(log - top));
  const sum = weights.reduce((a, b) => a + b, 0);
  return weights.map((weight) => weight / sum);
}
