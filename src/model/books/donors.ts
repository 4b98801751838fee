import type { StockItem } from '../stock/item';
import { stockCosts } from '../stock/drawer';
import type { Summary } from '../summary';

/** A bicycle that was broken for its parts: what it cost, and what became of that. */
export interface DonorRow {
  id: string;
  name: string;
  paid: number;
  /** Parts that went onto bicycles or out of the house: how many, what they were charged at, what such ones fetch. */
  gone: { count: number; cost: number; worth: number };
  /** Parts that lie in the drawer still. */
  left: { count: number; cost: number; worth: number };
  /** What its parts were worth where they went, less what they cost: its result so far. */
  earned: number;
}

/** Donors with the price of each shared over the parts that it gave, by worth, to the last unit. */
export function donorRows(stock: Record<string, StockItem>, summaries: Record<string, Summary>): DonorRow[] {
  const items = Object.values(stock);
  const costs = stockCosts(items, summaries);
  return Object.values(summaries).flatMap(({ id, name, brief, paid }) => {
    const own = items.filter(({ bicycle }) => bicycle === id);
    if (brief !== 'donor' || own.length === 0) return [];
    const sums = (rows: StockItem[]) => ({
      count: rows.reduce((sum, { quantity }) => sum + Math.max(1, quantity), 0),
      cost: rows.reduce((sum, row) => sum + (costs.get(row.id) ?? 0), 0),
      worth: rows.reduce((sum, { worth, quantity }) => sum + worth * Math.max(1, quantity), 0),
    });
    const gone = sums(own.filter(({ goneAt }) => goneAt !== null));
    const left = sums(own.filter(({ goneAt }) => goneAt === null));
    return [{ id, name, paid, gone, left, earned: gone.worth - gone.cost }];
  });
}

/** What was kept from the tip over all bicycles that went out; null where no house counts it. */
export function savedByAll(summaries: Record<string, Summary>) {
  const counted = Object.values(summaries).filter(({ saved }) => saved !== null);
  if (counted.length === 0) return null;
  const sum = (of: (saved: NonNullable<Summary['saved']>) => number) =>
    counted.reduce((all, { saved }) => all + of(saved!), 0);
  return {
    onTheRoad: counted.filter(({ wentOut }) => wentOut === 'ready').length,
    weightKg: sum(({ weightKg }) => weightKg),
    partsReused: sum(({ partsReused }) => partsReused),
    learners: sum(({ learners }) => learners),
    learningHours: sum(({ learningHours }) => learningHours),
  };
}
