import type { Bicycle } from './record';

/**
 * How many rows a list of one bicycle may come to by hand: ten years of it, several times over. A record that holds more,
 * because two copies were merged, still opens; it is told, and takes no more rows of that kind.
 */
const MOST_ROWS = {
  costLines: { most: 200, words: 'cost lines', where: 'Buy' },
  observations: { most: 20_000, words: 'findings', where: 'Look over' },
  jobs: { most: 2000, words: 'jobs', where: 'Decide' },
  comparables: { most: 250, words: 'sold prices', where: 'Buy' },
  complaints: { most: 200, words: 'complaints', where: 'Look over' },
  trays: { most: 200, words: 'trays', where: 'Strip' },
  trials: { most: 400, words: 'trials of one cone', where: 'Overhaul' },
  timers: { most: 5000, words: 'soaks', where: 'Clean' },
  signatures: { most: 5000, words: 'signatures', where: 'Rebuild' },
  proofs: { most: 5000, words: 'proofs', where: 'Prove' },
  lines: { most: 1000, words: 'money lines', where: 'Hand over' },
  minutes: { most: 10_000, words: 'times logged', where: 'Hand over' },
  photos: { most: 3000, words: 'photographs', where: 'Strip' },
  notes: { most: 5000, words: 'notes', where: 'its notes' },
  deliveries: { most: 1000, words: 'deliveries', where: 'the floor' },
  looseEnds: { most: 1000, words: 'loose ends', where: 'Rebuild' },
  seized: { most: 200, words: 'stuck parts', where: 'Strip' },
  tricks: { most: 500, words: 'tricks', where: 'Strip' },
  endings: { most: 2000, words: 'things ended', where: 'Prove' },
  acceptances: { most: 2000, words: 'things accepted', where: 'Prove' },
  worked: { most: 20_000, words: 'things worked on', where: 'the record' },
  rechecks: { most: 1000, words: 'two-minute lists', where: 'Prove' },
  waysOut: { most: 500, words: 'ways out', where: 'Hand over' },
  identified: { most: 500, words: 'parts told by the gauges', where: 'the gauge drawer' },
} as const;
type List = keyof typeof MOST_ROWS;

function counts(bicycle: Bicycle): Record<List, number> {
  const { appraisal, trays, ...rest } = bicycle;
  const plain = Object.keys(MOST_ROWS) as List[];
  return Object.fromEntries(
    plain.map((list) => [
      list,
      list === 'costLines'
        ? appraisal.lines.length
        : list === 'trays'
          ? trays.length
          : list === 'trials'
            ? Math.max(0, ...trays.map((tray) => tray.trials.length))
            : rest[list].length,
    ]),
  ) as Record<List, number>;
}

export interface Overfull {
  list: List;
  count: number;
  most: number;
  /** What there is too much of and where it is taken out. */
  words: string;
}

/** Lists of a bicycle that hold more rows than can be worked with. Example: 230 cost lines → "230 cost lines, and 200 is the most: take some out on Buy". */
export function overfull(bicycle: Bicycle): Overfull[] {
  return Object.entries(counts(bicycle)).flatMap(([name, count]) => {
    const list = name as List;
    const { most, words, where } = MOST_ROWS[list];
    return count > most
      ? [{ list, count, most, words: `${count} ${words}, and ${most} is the most: take some out on ${where}` }]
      : [];
  });
}

/** Why a change is refused that adds to a list which is full already; null where it may be made. */
export function refusedByBound(before: Bicycle, after: Bicycle): string | null {
  const was = counts(before);
  const full = overfull(after).find(({ list, count }) => count > was[list]);
  if (!full) return null;
  const { words, where } = MOST_ROWS[full.list];
  return `That list is full: ${full.most} ${words} are the most. Take some out on ${where} first.`;
}
