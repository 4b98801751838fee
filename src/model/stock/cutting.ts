import { roundHalfUp } from '@/core/numbers';
import { takeOne } from './drawer';
import type { StockItem } from './item';

/** From this length on a rest is kept. */
export const KEEP_FROM_MM = 300;

/**
 * One length opened and cut: the rows to write, and what was used of its cost. The rest lies in the drawer as a length of its own, at
 * its share of the cost, where it is long enough and needs no head; else all of it was used. Costs of all rows come to what they were, to the unit.
 *
 * Example: 1,250 of a coil of 5,000 at 8.00 → 2.00 are used, a rest of 3,750 lies in the drawer at 6.00.
 */
export function cutOne(
  item: StockItem,
  cost: number | null,
  restMm: number,
  at: string,
  ids: { used: string; rest: string },
): { rows: StockItem[]; cost: number } {
  const { rows, cost: one } = takeOne(item, cost, at, ids.used);
  const whole = item.cable?.lengthMm ?? 0;
  if (!item.cable || restMm < KEEP_FROM_MM || item.cable.heads.length > 0 || whole <= 0) return { rows, cost: one };
  const left = roundHalfUp((one * restMm) / whole);
  const rest: StockItem = {
    ...item,
    id: ids.rest,
    label: item.label.startsWith('Rest of ')
      ? item.label
      : `Rest of ${item.label.charAt(0).toLowerCase()}${item.label.slice(1)}`.slice(0, 120),
    quantity: 1,
    worth: roundHalfUp((item.worth * restMm) / whole / Math.max(1, item.quantity)),
    cost: cost === null ? null : left,
    cable: { ...item.cable, lengthMm: restMm },
    at,
    goneAt: null,
  };
  // What was used bears what is left of the cost: its row is the last that was written.
  const used = rows.at(-1)!;
  return {
    rows: [...rows.slice(0, -1), { ...used, cost: used.cost === null ? null : used.cost - left }, rest],
    cost: one - left,
  };
}
