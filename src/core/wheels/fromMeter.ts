/**
 * The tension that a meter's reading stands for, straight between the rows of the table that came with it; null where the reading lies outside
 * it. Errors: none. Example: rows 20 → 600 and 24 → 1000, read 22 → 800.
 */
export function fromMeter(table: readonly { reading: number; tensionN: number }[], reading: number): number | null {
  const rows = table.toSorted((a, b) => a.reading - b.reading);
  const above = rows.findIndex((row) => row.reading >= reading);
  if (above < 0) return null;
  const [low, high] = [rows[above - 1] ?? rows[above]!, rows[above]!];
  if (high.reading === reading) return high.tensionN;
  if (low === high) return null;
  return low.tensionN + ((high.tensionN - low.tensionN) * (reading - low.reading)) / (high.reading - low.reading);
}
