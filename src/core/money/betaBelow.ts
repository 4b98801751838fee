const CELLS = 2000;
/** So many spreads of the log-odds either way hold all of it, also where it leans hard to one side. */
const REACH = 40;

/**
 * How much of a Beta distribution lies below a chance: P(p < x), p ~ Beta(a, b), summed over the log-odds of p, where its density
 * p^a·(1 − p)^b has no corner at nought or one.
 *
 * Errors: none; a chance of nought or one lies at the end. Source: regularised incomplete beta function. Example: `betaBelow(0.5, 3, 3)` is 0.5.
 */
export function betaBelow(x: number, a: number, b: number): number {
  if (x <= 0 || a <= 0) return x <= 0 ? 0 : 1;
  if (x >= 1 || b <= 0) return x >= 1 ? 1 : 0;
  const at = Math.log(x / (1 - x));
  const mode = Math.log(a / b);
  const reach = REACH * Math.sqrt(1 / a + 1 / b);
  const top = a * mode - (a + b) * Math.log1p(Math.exp(mode));
  const density = (u: number) =>
    Math.exp(a * u - (a + b) * (u > 0 ? u + Math.log1p(Math.exp(-u)) : Math.log1p(Math.exp(u))) - top);
  const sum = (from: number, to: number) => {
    if (to <= from) return 0;
    const step = (to - from) / CELLS;
    let total = (density(from) + density(to)) / 2;
    for (let i = 1; i < CELLS; i++) total += density(from + i * step);
    return total * step;
  };
  const [low, high] = [mode - reach, mode + reach];
  const [below, above] = [sum(low, Math.min(at, high)), sum(Math.max(at, low), high)];
  return below / (below + above);
}
