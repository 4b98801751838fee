import type { Range } from '../fields';

const CELLS = 1024;

/**
 * Quantile function of a PERT distribution (beta with weight 4 on the likely value) between low and high:
 * α = 1 + 4·(likely−low)/(high−low), β = 1 + 4·(high−likely)/(high−low), mean (low + 4·likely + high)/6.
 *
 * Drawing through the quantile takes one uniform number a draw, so that a dearer range on the same draws is
 * never cheaper. The cumulative is integrated by Simpson's rule over 1,024 cells and inverted by linear
 * interpolation; the largest error is under a thousandth of the range.
 *
 * Units: those of the range. low = high gives a constant.
 * Source: programme evaluation and review technique, standard three-point form.
 * Example: `pertQuantile({ low: 0, likely: 50, high: 100 })(0.5)` is 50.
 */
export function pertQuantile(range: Range): (u: number) => number {
  const span = range.high - range.low;
  if (span <= 0) return () => range.low;
  const alphaLess1 = (4 * (range.likely - range.low)) / span;
  const betaLess1 = (4 * (range.high - range.likely)) / span;
  const cumulative = cumulativeTable(alphaLess1, betaLess1);
  const guide = guideTable(cumulative);
  return (u) => {
    let cell = guide[Math.floor(u * CELLS)]!;
    while (cumulative[cell + 1]! < u && cell < CELLS - 1) cell++;
    const from = cumulative[cell]!;
    const width = cumulative[cell + 1]! - from;
    const within = width > 0 ? (u - from) / width : 0.5;
    return range.low + (span * (cell + Math.min(1, Math.max(0, within)))) / CELLS;
  };
}

/** Mean of the PERT distribution: (low + 4·likely + high)/6. */
export function pertMean(range: Range): number {
  return (range.low + 4 * range.likely + range.high) / 6;
}

function cumulativeTable(alphaLess1: number, betaLess1: number): Float64Array {
  const density = (x: number) => Math.pow(x, alphaLess1) * Math.pow(1 - x, betaLess1);
  const table = new Float64Array(CELLS + 1);
  let left = density(0);
  for (let i = 0; i < CELLS; i++) {
    const right = density((i + 1) / CELLS);
    table[i + 1] = table[i]! + (left + 4 * density((i + 0.5) / CELLS) + right) / 6;
    left = right;
  }
  const total = table[CELLS]!;
  for (let i = 0; i <= CELLS; i++) table[i] = table[i]! / total;
  return table;
}

/** For each slice of the unit interval the first cell that can hold it, so that the search starts near. */
function guideTable(cumulative: Float64Array): Uint16Array {
  const guide = new Uint16Array(CELLS + 1);
  let cell = 0;
  for (let i = 0; i <= CELLS; i++) {
    while (cell < CELLS - 1 && cumulative[cell + 1]! < i / CELLS) cell++;
    guide[i] = cell;
  }
  return guide;
}
