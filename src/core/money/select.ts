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
