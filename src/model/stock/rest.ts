import { chargedShare } from '@/core/money/share';
import type { MoneyLine } from '../money/part';
import type { StockItem } from './item';

/** The rest of a pack has one row in the drawer, however often its line is put right. */
export const restId = (line: Pick<MoneyLine, 'id'>): string => `rest-${line.id}`.slice(0, 64);

/**
 * What is left of a pack, as it lies in the drawer at what it cost; null where nothing is left. What was taken out of it since
 * stays out. Example: six of a bag of twenty at 10.00 → fourteen, 7.00.
 */
export function restOf(line: MoneyLine, kept: StockItem | undefined, place: string, at: string): StockItem | null {
  const quantity = Math.round((line.packQty - line.usedQty) * 1e6) / 1e6;
  // What was taken out of the drawer is somebody else’s by now.
  if (kept && kept.goneAt !== null) return null;
  if (quantity <= 0) return kept ? { ...kept, quantity: 0, cost: 0, at, goneAt: at } : null;
  const left = line.paid - chargedShare(line);
  return {
    id: restId(line),
    label: line.label,
    place: kept?.place ?? place,
    size: kept?.size ?? '',
    state: 'new',
    from: 'the rest of a pack',
    bicycle: null,
    quantity,
    worth: kept?.worth ?? left,
    cost: left,
    at,
    goneAt: null,
  };
}
