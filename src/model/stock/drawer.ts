import { roundHalfUp } from '@/core/numbers';
import { shareByWorth } from '@/core/stock/share';
import type { StockItem } from './item';

interface Donor {
  id: string;
  brief: string;
  paid: number;
}

/** What an item costs all together: as it was entered, else its share of the donor's price by worth. Null where nobody knows. */
export function stockCosts(items: StockItem[], bicycles: Record<string, Donor>): Map<string, number | null> {
  const costs = new Map<string, number | null>(items.map((item) => [item.id, item.cost]));
  for (const donor of Object.values(bicycles)) {
    if (donor.brief !== 'donor') continue;
    const parts = items.filter((item) => item.bicycle === donor.id && item.cost === null);
    // What was entered with a cost of its own has taken its share already.
    const own = items.filter((item) => item.bicycle === donor.id && item.cost !== null);
    const left = Math.max(0, donor.paid - own.reduce((sum, item) => sum + item.cost!, 0));
    const shares = shareByWorth(
      left,
      parts.map((item) => item.worth),
    );
    parts.forEach((item, i) => costs.set(item.id, shares[i]!));
  }
  return costs;
}

/** What is in the drawer now. */
export function inStock(items: Record<string, StockItem>): StockItem[] {
  return Object.values(items).filter((item) => item.goneAt === null && item.quantity > 0);
}

/** Where a part belongs, whichever end or side it came from. Example: `pads.front` → `pads`. */
export function baseOf(place: string): string {
  return place.split('.')[0]!;
}

const RANK: Record<StockItem['state'], number> = { new: 2, good: 1, worn: 0 };

/** What the drawer has for a place, the best first. */
export function stockFor(place: string, items: Record<string, StockItem>): StockItem[] {
  return inStock(items)
    .filter((item) => baseOf(item.place) === baseOf(place))
    .sort((a, b) => RANK[b.state] - RANK[a.state] || a.worth - b.worth);
}

/**
 * Of the part that is on the bicycle and one from the drawer or a donor: which goes on. The better state wins; where they
 * are level the original stays.
 */
export function bestOfTwo(original: StockItem['state'], other: StockItem['state']): 'original' | 'other' {
  return RANK[other] > RANK[original] ? 'other' : 'original';
}

/** Balls of one size in the drawer, new and of one lot: the largest bag, since lots are never mixed. */
export function ballsInDrawer(fractionIn: string, items: Record<string, StockItem>): number {
  return Math.max(
    0,
    ...namedInDrawer(fractionIn, items)
      .filter(({ label }) => /ball/i.test(label))
      .map(({ quantity }) => quantity),
  );
}

/** New ones in the drawer whose name and size say this, as whole words. Example: `6902` finds "Cartridge, 6902". */
export function namedInDrawer(name: string, items: Record<string, StockItem>): StockItem[] {
  const spaced = (text: string) =>
    ` ${text
      .toLowerCase()
      .replaceAll(/[\s,;]+/g, ' ')
      .trim()} `;
  return inStock(items).filter(
    ({ state, size, label }) => state === 'new' && spaced(`${label} ${size}`).includes(spaced(name)),
  );
}

/** What the drawer has in place of one part: it belongs to the same place and its name shares the part's first word. */
export function insteadOf(place: string, label: string, items: Record<string, StockItem>): StockItem[] {
  const word = label
    .toLowerCase()
    .split(/[^a-z]+/)
    .find((each) => each.length > 2);
  return stockFor(place, items).filter(
    (item) => word !== undefined && item.label.toLowerCase().includes(word.replace(/s$/, '')),
  );
}

/**
 * One taken out of the drawer: the rows to write, and what the one cost (its share of the whole, rounded half up). What was
 * used keeps its cost in a row of its own, so that a donor's price stays shared as it was.
 */
export function takeOne(
  item: StockItem,
  cost: number | null,
  at: string,
  usedId: string,
): { rows: StockItem[]; cost: number } {
  const share = Math.min(1, item.quantity);
  const charged = cost === null ? 0 : roundHalfUp((cost * share) / item.quantity);
  const left = Math.round((item.quantity - share) * 1e6) / 1e6;
  const used = { ...item, quantity: 0, cost: cost === null ? null : charged, at, goneAt: at };
  if (left === 0) return { rows: [used], cost: charged };
  const kept = { ...item, quantity: left, cost: cost === null ? null : cost - charged, at };
  return { rows: [kept, { ...used, id: usedId }], cost: charged };
}
