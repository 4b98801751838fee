import { roundHalfUp } from '@/core/numbers';
import { momentOf } from '../stamps';
import { same } from '../same';
import { stockItem, type StockItem } from '../stock/item';
import type { ShareQuestion } from './question';
import type { Doubt, Entered, Replica } from './replica';

export const STOCK = 'stock';

/** How many, and what all of them cost: counted up, so that two who each take one have taken two. */
interface Counted {
  quantity: number;
  cost: number | null;
}
/** The rest of a row. `empty`: it was gone because the last one was used, and not because it was thrown away. */
type Rest = Omit<StockItem, 'id' | 'at' | 'quantity' | 'cost'> & { empty: boolean };

const rowLeaf = (id: string) => `row/${id}`;
const baseLeaf = (id: string) => `base/${id}`;
/** What one writer took out or put in since, all together; nobody else writes it, so that nothing is counted twice. */
const netLeaf = (id: string, writer: string) => `net/${id}/${writer}`;
const itemOf = (leaf: string): string =>
  leaf
    .split('/')
    .slice(1, leaf.startsWith('net/') ? -1 : undefined)
    .join('/');

/** Parts of a count as a drawer keeps them: a millionth is the dirt of adding. */
const clean = (quantity: number): number => Math.round(quantity * 1e6) / 1e6;

const restOf = ({ id: _id, at: _at, quantity, cost: _cost, ...rest }: StockItem): Rest => ({
  ...rest,
  empty: rest.goneAt !== null && quantity === 0,
});

interface Told {
  rest: Rest | null;
  base: Counted | null;
  net: Counted;
  at: string;
}

/** What the folder's files say of each row, by its id; `quantity` may be under nought. */
function toldOf(replica: Replica): Map<string, Told> {
  const rows = new Map<string, Told>();
  for (const { leaf, value, stamp } of replica.leavesOf(STOCK)) {
    const id = itemOf(leaf);
    const row = rows.get(id) ?? { rest: null, base: null, net: { quantity: 0, cost: 0 }, at: '' };
    rows.set(id, row);
    if (momentOf(stamp) > row.at) row.at = momentOf(stamp);
    if (leaf.startsWith('row/')) row.rest = value as Rest | null;
    else if (leaf.startsWith('base/')) row.base = value as Counted | null;
    else if (value) {
      const { quantity, cost } = value as Counted;
      row.net.quantity += quantity;
      row.net.cost = (row.net.cost ?? 0) + (cost ?? 0);
    }
  }
  return rows;
}

const countOf = ({ base, net }: Told): Counted => ({
  quantity: clean((base?.quantity ?? 0) + net.quantity),
  cost: base?.cost == null ? null : roundHalfUp(base.cost + (net.cost ?? 0)),
});

function rowOf(id: string, told: Told): StockItem[] {
  if (!told.rest || !told.base) return [];
  const { empty, ...rest } = told.rest;
  const count = countOf(told);
  // A row that cannot be one, as a newer release's may be, is left out.
  const row = stockItem.safeParse({
    ...rest,
    id,
    at: told.at,
    quantity: Math.max(0, count.quantity),
    cost: count.cost === null ? null : Math.max(0, count.cost),
    goneAt: empty && count.quantity > 0 ? null : rest.goneAt,
  });
  return row.success ? [row.data] : [];
}

/** The drawer as a folder's files make it, by id. */
export const stockOf = (replica: Replica): Map<string, StockItem> =>
  new Map([...toldOf(replica)].flatMap(([id, told]) => rowOf(id, told).map((row) => [id, row] as const)));

/**
 * What somebody did to the drawer, as it goes to the others: of a row that they know what changed in it, and how many more or fewer there are. Example: two pairs of pads are there,
 * two people take one each without knowing of each other → none is left.
 */
export function enteredInStock(
  before: ReadonlyMap<string, StockItem> | null,
  after: ReadonlyMap<string, StockItem>,
  replica: Replica,
): Entered[] {
  const changed = [...after].filter(([id, item]) => !before?.has(id) || !same(before.get(id), item));
  if (changed.length === 0) return [];
  const known = toldOf(replica);
  return changed.flatMap(([id, item]): Entered[] => {
    const was = before?.get(id);
    const told = known.get(id);
    // What is known of it and cannot be read here is nobody's entry.
    if (!was && told?.rest && told.base && rowOf(id, told).length === 0) return [];
    const entry = (leaf: string, value: unknown): Entered => ({
      record: STOCK,
      leaf,
      value,
      stamp: `${item.at} ${id}`.slice(0, 120),
    });
    const row = was && same(restOf(was), restOf(item)) ? [] : [entry(rowLeaf(id), restOf(item))];
    if (!told?.base || !was) return [...row, entry(baseLeaf(id), { quantity: item.quantity, cost: item.cost })];
    if (was.quantity === item.quantity && was.cost === item.cost) return row;
    const raw = countOf(told);
    const mine = netLeaf(id, replica.writer);
    const own = (replica.value(STOCK, mine) as Counted | null) ?? { quantity: 0, cost: 0 };
    const quantity = was.quantity === item.quantity ? 0 : item.quantity - raw.quantity;
    const isPriced = raw.cost !== null && item.cost !== null;
    const cost = was.cost === item.cost || !isPriced ? 0 : item.cost! - raw.cost!;
    return [
      ...row,
      entry(mine, { quantity: clean(own.quantity + quantity), cost: (own.cost ?? 0) + cost }),
      // A price where there was none, or none where there was one, is said anew and not counted up.
      ...(was.cost === item.cost || isPriced
        ? []
        : [
            entry(baseLeaf(id), {
              quantity: told.base.quantity,
              cost: item.cost === null ? null : item.cost - (told.net.cost ?? 0),
            }),
          ]),
    ];
  });
}

const plain = (value: unknown): unknown => {
  const { goneAt: _goneAt, empty: _empty, ...rest } = value as Rest;
  return rest;
};

/** Whether two really say something else of a row: when the last one went follows from how many there are. */
export const isAskedOfStock = ({ leaf, kept, others }: Doubt): boolean =>
  !leaf.startsWith('row/') ||
  (typeof kept === 'object' && kept !== null && others.some((each) => !same(plain(each), plain(kept))));

/** Rows of which more was taken than was there. */
export const shortIn = (replica: Replica): ShareQuestion[] =>
  [...toldOf(replica)].flatMap(([id, told]): ShareQuestion[] => {
    const { quantity } = countOf(told);
    return quantity < 0 && told.rest ? [{ is: 'short', item: id, label: told.rest.label, by: -quantity }] : [];
  });

/** Says that none is left of a row of which more was taken than was there. */
export function noneLeft(replica: Replica, item: string, stamp: string): Entered[] {
  const told = toldOf(replica).get(item);
  const { quantity } = told ? countOf(told) : { quantity: 0 };
  if (quantity >= 0) return [];
  const leaf = netLeaf(item, replica.writer);
  const own = (replica.value(STOCK, leaf) as Counted | null) ?? { quantity: 0, cost: 0 };
  return [{ record: STOCK, leaf, value: { ...own, quantity: clean(own.quantity - quantity) }, stamp }];
}
