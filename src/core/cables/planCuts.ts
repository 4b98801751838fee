import { grouped } from '../grouped';
import { uniformStream } from '../money/streams';

export interface Piece {
  id: string;
  lengthMm: number;
  kind?: string | undefined;
  head?: string | undefined;
}
export interface StockLength {
  id: string;
  lengthMm: number;
  count: number;
  price: number;
  maxPieces: number | null;
  kind?: string | undefined;
  heads?: string[] | undefined;
}
export interface Cut {
  stockId: string;
  pieceIds: string[];
  restMm: number;
}
export interface CutPlan {
  cuts: Cut[];
  cost: number;
  wasteMm: number;
  shortfall: string[];
  proven: boolean;
}
interface Rules {
  takes(piece: Piece): number;
  keepFromMm: number;
}

/** Up to so many pieces every set is weighed. */
const PROVEN_UP_TO = 10;
/** How often a larger list is taken up again, ten pieces at a time. */
const ROUNDS = 60;
const NEAR_MM = 1e-6;

/** What a plan is worth, in the order of what matters; each is better when it is smaller. */
type Worth = readonly [pieces: number, length: number, cost: number, waste: number, opened: number];
const better = (a: Worth, b: Worth): boolean => {
  for (const [i, each] of a.entries()) if (Math.abs(each - b[i]!) > NEAR_MM) return each < b[i]!;
  return false;
};

/** Whether pieces may come from one length together: kind and heads agree, they fit, and no more than it gives. */
function fits(pieces: readonly Piece[], stock: StockLength, { takes }: Rules): boolean {
  if (stock.maxPieces !== null && pieces.length > stock.maxPieces) return false;
  if (pieces.some(({ kind }) => kind !== stock.kind)) return false;
  const heads = [...(stock.heads ?? [])];
  for (const { head } of pieces) {
    if (head === undefined) continue;
    const at = heads.indexOf(head);
    if (at < 0) return false;
    heads.splice(at, 1);
  }
  return pieces.reduce((sum, piece) => sum + takes(piece), 0) <= stock.lengthMm + NEAR_MM;
}

const bitsOf = (mask: number): number[] => Array.from({ length: 31 }, (_, i) => i).filter((i) => (mask >> i) & 1);

/** One length that may be opened, and which of it. */
interface Unit {
  stock: StockLength;
}
interface Step {
  cost: number;
  waste: number;
  opened: number;
  from: { before: number; set: number; unit: number } | null;
}

/**
 * The best plan of a few pieces: for each set of pieces the cheapest way to cut it, one length after another. Every subset of what is still
 * uncut is tried on every length, so that nothing is overlooked.
 */
function exactly(pieces: readonly Piece[], units: readonly Unit[], rules: Rules): { unit: number; set: number }[] {
  const full = 1 << pieces.length;
  const restOf = new Map<StockLength, Float64Array>();
  for (const { stock } of units) {
    if (restOf.has(stock)) continue;
    const rests = new Float64Array(full).fill(-1);
    for (let set = 1; set < full; set++) {
      const here = bitsOf(set).map((i) => pieces[i]!);
      if (fits(here, stock, rules))
        rests[set] = stock.lengthMm - here.reduce((sum, piece) => sum + rules.takes(piece), 0);
    }
    restOf.set(stock, rests);
  }
  let best: (Step | null)[] = Array.from({ length: full }, (_, set) =>
    set === 0 ? { cost: 0, waste: 0, opened: 0, from: null } : null,
  );
  const layers: (Step | null)[][] = [];
  for (const [unit, { stock }] of units.entries()) {
    const rests = restOf.get(stock)!;
    const next = best.map((step): Step | null => step && { ...step, from: { before: -1, set: 0, unit } });
    for (let before = 0; before < full; before++) {
      const step = best[before];
      if (!step) continue;
      const left = (full - 1) & ~before;
      for (let set = left; set > 0; set = (set - 1) & left) {
        const rest = rests[set]!;
        if (rest < 0) continue;
        const made: Step = {
          cost: step.cost + stock.price,
          waste: step.waste + (rest < rules.keepFromMm ? rest : 0),
          opened: step.opened + 1,
          from: { before, set, unit },
        };
        const known = next[before | set];
        if (!known || better([0, 0, made.cost, made.waste, made.opened], [0, 0, known.cost, known.waste, known.opened]))
          next[before | set] = made;
      }
    }
    layers.push(next);
    best = next;
  }
  const worthOf = (set: number, step: Step): Worth => {
    const cut = bitsOf(set);
    const length = cut.reduce((sum, i) => sum + pieces[i]!.lengthMm, 0);
    return [-cut.length, -length, step.cost, step.waste, step.opened];
  };
  let at = 0;
  for (let set = 1; set < full; set++) {
    const step = best[set];
    if (step && better(worthOf(set, step), worthOf(at, best[at]!))) at = set;
  }
  const chosen: { unit: number; set: number }[] = [];
  for (let unit = units.length - 1; unit >= 0; unit--) {
    const { from } = layers[unit]![at]!;
    if (from === null || from.before < 0) continue;
    chosen.push({ unit, set: from.set });
    at = from.before;
  }
  return chosen.reverse();
}

/** Lengths that may be opened, as many of each as pieces could want. */
const unitsOf = (stock: readonly StockLength[], most: number): Unit[] =>
  stock.flatMap((each) => Array.from({ length: Math.min(each.count, most) }, () => ({ stock: each })));

interface Opened {
  stock: StockLength;
  pieces: Piece[];
}

const worthOf = (opened: readonly Opened[], rules: Rules): Worth => {
  const pieces = opened.flatMap((each) => each.pieces);
  const rests = opened.map(
    ({ stock, pieces: of }) => stock.lengthMm - of.reduce((sum, each) => sum + rules.takes(each), 0),
  );
  return [
    -pieces.length,
    -pieces.reduce((sum, { lengthMm }) => sum + lengthMm, 0),
    opened.reduce((sum, { stock }) => sum + stock.price, 0),
    rests.reduce((sum, rest) => sum + (rest < rules.keepFromMm ? rest : 0), 0),
    opened.length,
  ];
};

/** The longest first, each from the length that it leaves the least of. */
function greedily(pieces: readonly Piece[], stock: readonly StockLength[], rules: Rules): Opened[] {
  const opened: Opened[] = [];
  const left = new Map(stock.map((each) => [each, each.count]));
  for (const piece of pieces.toSorted((a, b) => b.lengthMm - a.lengthMm)) {
    const room = (each: Opened) => each.stock.lengthMm - each.pieces.reduce((sum, of) => sum + rules.takes(of), 0);
    const into = opened
      .filter((each) => fits([...each.pieces, piece], each.stock, rules))
      .sort((a, b) => room(a) - room(b))[0];
    if (into) {
      into.pieces.push(piece);
      continue;
    }
    const fresh = stock
      .filter((each) => left.get(each)! > 0 && fits([piece], each, rules))
      .sort((a, b) => a.price - b.price || a.lengthMm - b.lengthMm)[0];
    if (!fresh) continue;
    left.set(fresh, left.get(fresh)! - 1);
    opened.push({ stock: fresh, pieces: [piece] });
  }
  return opened;
}

/** A large list made better: some lengths are closed again, and what was cut from them is planned anew with what is wanting. */
function improved(pieces: readonly Piece[], stock: readonly StockLength[], rules: Rules): Opened[] {
  let plan = greedily(pieces, stock, rules);
  const next = uniformStream(7, 'cuts');
  for (let round = 0; round < ROUNDS; round++) {
    const order = plan.map((each) => ({ each, key: next() })).sort((a, b) => a.key - b.key);
    const cut = new Set(plan.flatMap((each) => each.pieces));
    const again: Piece[] = pieces.filter((piece) => !cut.has(piece)).slice(0, 3);
    const closed = new Set<Opened>();
    for (const { each } of order) {
      if (again.length + each.pieces.length > PROVEN_UP_TO - 2) continue;
      again.push(...each.pieces);
      closed.add(each);
    }
    if (again.length === 0) break;
    const kept = plan.filter((each) => !closed.has(each));
    const used = new Map<StockLength, number>();
    for (const each of kept) used.set(each.stock, (used.get(each.stock) ?? 0) + 1);
    const units = unitsOf(
      stock.map((each) => ({ ...each, count: each.count - (used.get(each) ?? 0) })),
      again.length,
    );
    const byId = new Map(stock.map((each) => [each.id, each]));
    const made = exactly(again, units, rules).map(({ unit, set }) => ({
      stock: byId.get(units[unit]!.stock.id)!,
      pieces: bitsOf(set).map((i) => again[i]!),
    }));
    const tried = [...kept, ...made];
    if (better(worthOf(tried, rules), worthOf(plan, rules))) plan = tried;
  }
  return plan;
}

/** The lengths that pieces of one kind are cut from. */
function ofOneKind(pieces: readonly Piece[], stock: readonly StockLength[], rules: Rules): Opened[] {
  if (pieces.length > PROVEN_UP_TO) return improved(pieces, stock, rules);
  const units = unitsOf(stock, pieces.length);
  return exactly(pieces, units, rules).map(({ unit, set }) => ({
    stock: units[unit]!.stock,
    pieces: bitsOf(set).map((i) => pieces[i]!),
  }));
}

/** Which pieces come from which length; see `cables.cutList`. Kinds have nothing in common, so each is planned by itself. */
export function planCuts(pieces: readonly Piece[], stock: readonly StockLength[], rules: Rules): CutPlan {
  const kinds = [...grouped(pieces, ({ kind }) => kind ?? '').values()];
  const proven = kinds.every((alike) => alike.length <= PROVEN_UP_TO);
  const opened = kinds.flatMap((alike) =>
    ofOneKind(
      alike,
      stock.filter(({ kind }) => kind === alike[0]!.kind),
      rules,
    ),
  );
  const cut = new Set(opened.flatMap((each) => each.pieces.map(({ id }) => id)));
  const [, , cost, wasteMm] = worthOf(opened, rules);
  return {
    cuts: opened.map(({ stock: from, pieces: of }) => ({
      stockId: from.id,
      pieceIds: of.toSorted((a, b) => b.lengthMm - a.lengthMm).map(({ id }) => id),
      restMm: from.lengthMm - of.reduce((sum, each) => sum + rules.takes(each), 0),
    })),
    cost,
    wasteMm,
    shortfall: pieces.filter(({ id }) => !cut.has(id)).map(({ id }) => id),
    proven,
  };
}
