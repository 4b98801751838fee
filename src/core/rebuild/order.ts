import * as z from 'zod/mini';
import { bicycleKind, type BicycleKind } from '../bicycle';
import { defineCalculator, rule } from '../calculator';
import { assembliesFor } from '../strip/assembly';
import { buildOrderRows, onlyOnRows, type BuildFact, type BuildOrderRow } from './data/buildOrder';

const name = z.string().check(z.minLength(1), z.maxLength(60));
const part = { assembly: name, place: name };
const WHY = ['not here', 'in the bath', 'open'] as const;

const input = z.strictObject({
  kind: z.prefault(bicycleKind, {}),
  together: z._default(z.array(z.strictObject(part)).check(z.maxLength(200)), []),
  missing: z._default(z.array(z.strictObject({ ...part, why: z.enum(WHY) })).check(z.maxLength(200)), []),
  facts: z
    ._default(
      z.strictObject({
        settled: z.optional(z.boolean().check(z.describe('the height of the bar'))),
        torqued: z.optional(z.boolean().check(z.describe('the cranks'))),
        trued: z.optional(z.boolean().check(z.describe('the wheels, and seated'))),
        measured: z.optional(z.boolean().check(z.describe('the hanger'))),
      }),
      {},
    )
    .check(z.describe('what is left out is true once what it is of is together')),
});
export type BuildOrderInput = z.input<typeof input>;

export interface OnBicycle {
  assembly: string;
  place: string;
}
export interface BuildNow extends OnBicycle {
  title: string;
  why: string;
}
export interface BuildWaits extends OnBicycle {
  title: string;
  /** What it waits for: another assembly, or a word for what is not there or not done. */
  for: (OnBicycle | string)[];
  why: string;
}
export interface BuildOrder {
  now: BuildNow[];
  waits: BuildWaits[];
  done: boolean;
}

const FACT_WORDS: Record<BuildFact, string> = {
  settled: 'the height of the bar is settled',
  torqued: 'the cranks are tight, by the wrench',
  trued: 'the wheel runs true and is seated',
  measured: 'the hanger is measured',
};
const MISSING_WORDS: Record<(typeof WHY)[number], string> = {
  'not here': 'it is not here yet',
  'in the bath': 'it lies in the bath',
  open: 'its bearing is open',
};

const MISSING_WHY: Record<(typeof WHY)[number], string> = {
  'not here': 'Something of it has not come, or goes in anew.',
  'in the bath': 'Something of it still soaks.',
  open: 'It is not felt again since it was opened.',
};

/** An assembly with its title, as the order goes through them. */
type Piece = OnBicycle & { title: string };
const key = ({ assembly, place }: OnBicycle) => `${assembly}\n${place}`;
const endOf = (place: string) => (place.endsWith('.front') ? 'front' : place.endsWith('.rear') ? 'rear' : null);

/** Everything that goes onto a bicycle: its trays, as they were found, and what only goes on. Last off comes first. */
export function piecesOf(kind: BicycleKind, found: readonly OnBicycle[]): Piece[] {
  const chosen = Object.fromEntries(found.map(({ assembly, place }) => [place, assembly]));
  return [
    ...assembliesFor(kind, chosen)
      .toReversed()
      .map(({ id: assembly, place, title }) => ({ assembly, place, title })),
    ...onlyOnRows.map(({ id: assembly, place, title }) => ({ assembly, place, title })),
  ];
}

/** Whether a row speaks of a piece, on the side of what comes after. */
const isAfter = ({ after, end }: BuildOrderRow, { assembly, place }: OnBicycle) =>
  after.includes(assembly) && (end === 'no' || endOf(place) === null || endOf(place) === end);

/** What a piece waits for by one row, each with the row's reason. */
function waitsBy(
  row: BuildOrderRow,
  pieces: readonly Piece[],
  on: ReadonlySet<string>,
  isTrue: (fact: BuildFact) => boolean,
): (OnBicycle | string)[] {
  const first = pieces.filter(({ assembly }) => row.before.includes(assembly));
  const off = first.filter((each) => !on.has(key(each))).map(({ assembly, place }) => ({ assembly, place }));
  if (off.length > 0) return off;
  return row.fact !== null && !isTrue(row.fact) ? [FACT_WORDS[row.fact]] : [];
}

/**
 * The order of a rebuild: what hands can put on now, and what everything else waits for. An assembly can go on when it is
 * here, all that the table puts before it is together, and what has to be true of that is true; a fact that is left out is
 * true once what it is of is together. Errors: an assembly that such a bicycle does not have at that place.
 *
 * Source: the table of the build order (workshop consensus). Example: with the cranks on and not torqued the front
 * derailleur waits for "the cranks are tight, by the wrench".
 */
export function buildOrder(
  { kind, together, missing, facts }: z.output<typeof input>,
  rules: readonly BuildOrderRow[] = buildOrderRows,
): BuildOrder {
  const pieces = piecesOf(kind, [...together, ...missing]);
  const on = new Set(together.map(key));
  const away = new Map(missing.map((each) => [key(each), each.why]));
  const isTrue = (fact: BuildFact) => facts[fact] ?? true;
  const now: BuildNow[] = [];
  const waits: BuildWaits[] = [];
  for (const piece of pieces) {
    if (on.has(key(piece))) continue;
    const { assembly, place, title } = piece;
    const gone = away.get(key(piece));
    const by = rules
      .filter((each) => isAfter(each, piece))
      .map((each) => ({ why: each.why, for: waitsBy(each, pieces, on, isTrue) }))
      .filter((each) => each.for.length > 0);
    if (gone === undefined && by.length === 0) now.push({ assembly, place, title, why: whyNow(piece, rules) });
    else
      waits.push({
        assembly,
        place,
        title,
        for: [...(gone ? [MISSING_WORDS[gone]] : []), ...by.flatMap((each) => each.for)],
        why: gone ? MISSING_WHY[gone] : by[0]!.why,
      });
  }
  return { now, waits, done: now.length === 0 && waits.length === 0 };
}

/** Why hands can go to it: what was in its way is together, or nothing ever was. */
function whyNow(piece: Piece, rules: readonly BuildOrderRow[]): string {
  return rules.some((each) => isAfter(each, piece))
    ? 'All that comes before it is together.'
    : 'Nothing comes before it.';
}

/** The first of those named that such a bicycle does not have, or that is named twice; null where there is none. */
function strange({ kind, together, missing }: z.output<typeof input>): string | null {
  const all = [...together, ...missing];
  const known = new Set(piecesOf(kind, all).map(key));
  const seen = new Set<string>();
  for (const each of all) {
    if (!known.has(key(each))) return `${each.assembly} at ${each.place} is no assembly of this bicycle`;
    if (seen.has(key(each))) return `${each.assembly} at ${each.place} is named twice`;
    seen.add(key(each));
  }
  return null;
}

const checked = rule(
  input,
  ['together'],
  (question) => strange(question) === null,
  (question) => strange(question)!,
);

export const rebuildOrder = defineCalculator({
  id: 'rebuild.order',
  title: 'What goes back on now, and what waits for what',
  example: { kind: { gears: 'single' }, together: [{ assembly: 'hub-front', place: 'hub.front' }] },
  input: checked,
  run: (question) => buildOrder(question),
});
