/**
 * A cost shared by worth, to the last unit: whole parts first, the units left over to the largest remainders, ties to the
 * earlier. Where nothing is worth anything all share alike.
 *
 * Money in minor units; the shares sum to the cost. Example: `shareByWorth(1000, [2, 1])` gives 667 and 333.
 */
export function shareByWorth(cost: number, worths: number[]): number[] {
  if (worths.length === 0) return [];
  const sum = worths.reduce((a, b) => a + b, 0);
  const weights = sum > 0 ? worths : worths.map(() => 1);
  const total = sum > 0 ? sum : worths.length;
  const exact = weights.map((worth) => (cost * worth) / total);
  const shares = exact.map(Math.floor);
  const left = cost - shares.reduce((a, b) => a + b, 0);
  const order = exact.map((value, i) => ({ i, rest: value - shares[i]! })).sort((a, b) => b.rest - a.rest || a.i - b.i);
  for (const { i } of order.slice(0, left)) shares[i]! += 1;
  return shares;
}
