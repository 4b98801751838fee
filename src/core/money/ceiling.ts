import { floorForgiving, quantileSorted } from '../numbers';

export interface Samples {
  /** What is left after fees, other costs and parts, in minor units, trial by trial. */
  net: ArrayLike<number>;
  minutes: ArrayLike<number>;
}

export interface Target {
  kind: 'profit' | 'hourly';
  amount: number;
}

/** What could be paid in each trial: net − labour − profit, or net − wage·hours. */
export function payableOf({ net, minutes }: Samples, target: Target, labourPerHour: number): Float64Array {
  const perMinute = (target.kind === 'profit' ? labourPerHour : target.amount) / 60;
  const fixed = target.kind === 'profit' ? target.amount : 0;
  const payable = new Float64Array(net.length);
  for (let i = 0; i < payable.length; i++) payable[i] = net[i]! - perMinute * minutes[i]! - fixed;
  return payable;
}

/**
 * The ceiling from what could be paid, sorted: one look-up, for a confidence that is being dragged. The same figure as
 * `money.appraise` gives for the same trials. Units: minor units. Example: `sortedCeiling([100, 200], 0.5)` is 150.
 */
export function sortedCeiling(sorted: ArrayLike<number>, confidence: number): number {
  return Math.max(0, floorForgiving(quantileSorted(sorted, 1 - confidence)));
}

/** The share of the trials in which a price leaves what is wanted, from what could be paid, sorted. */
export function sortedChance(sorted: ArrayLike<number>, price: number): number {
  let low = 0;
  let high = sorted.length;
  while (low < high) {
    const middle = (low + high) >> 1;
    if (sorted[middle]! < price - 1e-6) low = middle + 1;
    else high = middle;
  }
  return (sorted.length - low) / sorted.length;
}
