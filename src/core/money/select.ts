/** Puts the k-th smallest of a list at its place, smaller ones before it (Hoare's selection). The list is rearranged. */
function selectInPlace(values: Float64Array, k: number): number {
  let left = 0;
  let right = values.length - 1;
  while (left < right) {
    const pivot = values[(left + right) >> 1]!;
    let i = left;
    let j = right;
    while (i <= j) {
      while (values[i]! < pivot) i++;
      while (values[j]! > pivot) j--;
      if (i > j) break;
      const swapped = values[i]!;
      values[i] = values[j]!;
      values[j] = swapped;
      i++;
      j--;
    }
    if (k <= j) right = j;
    else if (k >= i) left = i;
    else break;
  }
  return values[k]!;
}

/**
 * Quantile by linear interpolation at (n−1)·q without sorting the whole. The list is rearranged.
 * Example: `quantileSelected(Float64Array.of(10, 0), 0.25)` is 2.5.
 */
export function quantileSelected(values: Float64Array, q: number): number {
  const at = (values.length - 1) * q;
  const below = Math.floor(at);
  const low = selectInPlace(values, below);
  if (at === below) return low;
  let high = Infinity;
  for (let i = below + 1; i < values.length; i++) if (values[i]! < high) high = values[i]!;
  return low + (high - low) * (at - below);
}

/**
 * The quantile of a list after each value has been raised by `parts + perMinute·minutes`, exactly as sorting would give it.
 * Since nothing falls, only values that end up just over the old quantile `from` can be the new one: one pass counts what
 * stays below and gathers a window, which is widened until it holds the wanted place.
 *
 * Example: raising every value by 5 raises every quantile by 5.
 */
export function quantileRaised(
  values: Float64Array,
  parts: Float64Array,
  minutes: Float64Array,
  perMinute: number,
  q: number,
  from: number,
): number {
  const n = values.length;
  const at = (n - 1) * q;
  const k = Math.floor(at);
  let raise = 0;
  for (let i = 0; i < n; i++) raise += parts[i]! + perMinute * minutes[i]!;
  if (raise === 0) return from;
  const gathered = new Float64Array(n);
  for (let reach = (1.3 * raise) / n + 1; ; reach *= 2) {
    let held = 0;
    let below = 0;
    let most = -Infinity;
    // Between two neighbours the old quantile is interpolated, so that its lower neighbour may lie under it.
    const to = from + reach;
    for (let i = 0; i < n; i++) {
      const value = values[i]! + parts[i]! + perMinute * minutes[i]!;
      if (value < from) {
        below++;
        if (value > most) most = value;
      } else if (value <= to) gathered[held++] = value;
    }
    if (held <= k + 1 - below && below + held < n) continue;
    const window = gathered.subarray(0, held);
    window.sort();
    const place = (rank: number) => (rank < below ? most : window[Math.min(rank - below, held - 1)]!);
    const low = place(k);
    const high = place(Math.min(k + 1, n - 1));
    return low + (high - low) * (at - k);
  }
}
