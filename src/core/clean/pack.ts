import { atLeast, moreThan } from '../numbers';

/** Something that goes into a bath: its volume, and how long it must and may stay. */
export interface Bathed {
  id: string;
  volumeMl: number;
  minMinutes: number;
  maxMinutes: number | null;
}

interface Load {
  items: Bathed[];
  volumeMl: number;
  minMinutes: number;
  maxMinutes: number;
}

/** How many ways are looked at before the best so far is taken; keeps a plan within a few hundredths of a second. */
const MOST_NODES = 60_000;

function fits(load: Load, item: Bathed, fillingMl: number): boolean {
  return (
    !moreThan(load.volumeMl + item.volumeMl, fillingMl) &&
    atLeast(Math.min(load.maxMinutes, item.maxMinutes ?? Infinity), Math.max(load.minMinutes, item.minMinutes))
  );
}

function added(load: Load, item: Bathed): Load {
  return {
    items: [...load.items, item],
    volumeMl: load.volumeMl + item.volumeMl,
    minMinutes: Math.max(load.minMinutes, item.minMinutes),
    maxMinutes: Math.min(load.maxMinutes, item.maxMinutes ?? Infinity),
  };
}

const EMPTY: Load = { items: [], volumeMl: 0, minMinutes: 0, maxMinutes: Infinity };

/** Fewest loads that the volumes alone allow: a bound that no packing goes under. */
export function volumeBound(items: Pick<Bathed, 'volumeMl'>[], fillingMl: number): number {
  const sum = items.reduce((total, item) => total + item.volumeMl, 0);
  const bulky = items.filter((item) => moreThan(item.volumeMl, fillingMl / 2)).length;
  return Math.max(items.length ? 1 : 0, bulky, Math.ceil(sum / fillingMl - 1e-9));
}

/** Each item into the fullest load that still takes it. */
function fullestFirst(items: Bathed[], fillingMl: number): Load[] {
  const loads: Load[] = [];
  for (const item of items) {
    let best = -1;
    loads.forEach((load, i) => {
      if (fits(load, item, fillingMl) && (best < 0 || load.volumeMl > loads[best]!.volumeMl)) best = i;
    });
    if (best < 0) loads.push(added(EMPTY, item));
    else loads[best] = added(loads[best]!, item);
  }
  return loads;
}

/** Fewest loads that the times alone force: items of which no two may share one. */
function timeBound(items: Bathed[]): number {
  let loads = 0;
  let until = -Infinity;
  for (const item of [...items].sort((a, b) => (a.maxMinutes ?? Infinity) - (b.maxMinutes ?? Infinity)))
    if (moreThan(item.minMinutes, until)) {
      loads += 1;
      until = item.maxMinutes ?? Infinity;
    }
  return loads;
}

/**
 * As few loads as volumes and times allow. Largest first into the fullest load that takes it, in three orders; where that is
 * over the bounds, a search over all placements, cut by the bounds and by a limit on its length.
 */
export function packLoads(items: Bathed[], fillingMl: number): Bathed[][] {
  const bound = Math.max(volumeBound(items, fillingMl), timeBound(items));
  const bulkyFirst = [...items].sort((a, b) => b.volumeMl - a.volumeMl || (a.id < b.id ? -1 : 1));
  const briefFirst = [...bulkyFirst].sort(
    (a, b) => (a.maxMinutes ?? Infinity) - (b.maxMinutes ?? Infinity) || b.volumeMl - a.volumeMl,
  );
  const longFirst = [...bulkyFirst].sort((a, b) => b.minMinutes - a.minMinutes || b.volumeMl - a.volumeMl);
  let best = [bulkyFirst, briefFirst, longFirst]
    .map((order) => fullestFirst(order, fillingMl))
    .reduce((least, loads) => (loads.length < least.length ? loads : least));
  let nodes = 0;
  const left = bulkyFirst.map((_, i) => bulkyFirst.slice(i).reduce((sum, item) => sum + item.volumeMl, 0));
  const search = (at: number, loads: Load[]): void => {
    if (best.length <= bound || nodes > MOST_NODES) return;
    if (at === bulkyFirst.length) {
      if (loads.length < best.length) best = loads;
      return;
    }
    nodes += 1;
    const free = loads.reduce((sum, load) => sum + fillingMl - load.volumeMl, 0);
    const more = Math.max(0, Math.ceil((left[at]! - free) / fillingMl - 1e-9));
    if (loads.length + more >= best.length) return;
    const item = bulkyFirst[at]!;
    const tried = new Set<string>();
    loads.forEach((load, i) => {
      const alike = `${load.volumeMl}|${load.minMinutes}|${load.maxMinutes}`;
      if (!fits(load, item, fillingMl) || tried.has(alike)) return;
      tried.add(alike);
      search(
        at + 1,
        loads.map((each, j) => (j === i ? added(each, item) : each)),
      );
    });
    if (loads.length + 1 < best.length) search(at + 1, [...loads, added(EMPTY, item)]);
  };
  if (items.length) search(0, []);
  return best.map((load) => load.items);
}
