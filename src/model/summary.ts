import * as z from 'zod/mini';
import { USES } from '@/core/buy/saleStates';
import { BRIEFS, wholeKind } from '@/core/bicycle';
import { openWork } from '@/core/plan/work';
import { STATES } from '@/core/vocabulary/vocabulary';
import { booksTold } from './books/booksTold';
import { coneTrial } from './bearings/trial';
import { PURPOSES, WAYS_OUT } from './purposes';
import { STAGES } from './stages';

/** Raised whenever a summary is worked out differently, so that kept ones are made anew. */
export const SUMMARY_RULES = 14;

/**
 * What the floor shows of a bicycle, so that it opens without reading every record. A cache: it is keyed by the revision
 * it was made from, is made anew when stale, and is never exported. `drawn` is filled in by whoever can ask the
 * calculators.
 */
export const summary = z.strictObject({
  rules: z.literal(SUMMARY_RULES),
  id: z.string(),
  revision: z.number(),
  name: z.string(),
  note: z.string(),
  kind: wholeKind,
  createdAt: z.string(),
  updatedAt: z.string(),
  archivedAt: z.nullable(z.string()),
  stage: z.enum(STAGES),
  next: z.string(),
  /** The place that is opened there; null opens the stage as a whole. */
  nextPlace: z.nullable(z.string()),
  timers: z.array(z.strictObject({ id: z.string(), label: z.string(), dueAtMs: z.number() })),
  waits: z.array(z.strictObject({ id: z.string(), label: z.string(), dueOn: z.nullable(z.string()) })),
  loose: z.array(z.string()),
  conflicts: z.number(),
  bought: z.boolean(),
  sold: z.boolean(),
  /** How it went out last; null while it is here. */
  wentOut: z.nullable(z.enum(WAYS_OUT)),
  spent: z.number(),
  asking: z.nullable(z.number()),
  worked: z.number(),
  /** What was said at its door, which teaches the next appraisal. */
  door: z.record(z.string(), z.enum(['fine', 'bad'])),
  /** Tricks that the next like bicycle is shown. */
  tricks: z.array(z.strictObject({ assembly: z.string(), step: z.string(), text: z.string() })),
  /** Cones and cups that were set on it: what this bench's locknuts drag is learnt from them. */
  cones: z.array(z.strictObject({ place: z.string(), trials: z.array(z.omit(coneTrial, { id: true })) })),
  /** What it is to become, and what was paid for it: a donor's price is shared over its parts. */
  sizeMm: z.nullable(z.number()),
  use: z.enum(USES),
  brief: z.enum(BRIEFS),
  paid: z.number(),
  /** What it was sold for and when, to compare others with. */
  soldFor: z.nullable(z.strictObject({ price: z.number(), on: z.nullable(z.string()) })),
  /** What is open on it, for the plan. */
  open: z.array(openWork),
  /** What it tells the books; null until it is sold. */
  books: z.nullable(booksTold),
  /** What was kept from the tip, where a house counts it; null where nothing was counted. */
  saved: z.nullable(
    z.strictObject({
      weightKg: z.number(),
      partsReused: z.number(),
      learners: z.number(),
      learningHours: z.number(),
    }),
  ),
  purpose: z.enum(PURPOSES),
  clockSince: z.nullable(z.string()),
  drawn: z.nullable(
    z.strictObject({
      marks: z.array(z.tuple([z.string(), z.enum(STATES)])),
      ceiling: z.nullable(z.number()),
      /** Of the shortest job that is kept and not done, with what was learnt; null where there is none. */
      nextMinutes: z.nullable(z.number()),
      /** What the law says, and how much stands in the way. */
      law: z.nullable(
        z.strictObject({
          ready: z.boolean(),
          blocks: z.number(),
          /** What another person has to sign too, by whose signature it has and where. */
          eyes: z.array(z.strictObject({ by: z.string(), stage: z.enum(STAGES), count: z.number() })),
        }),
      ),
      /** The day of it, and the sum of the settings and lessons that it was worked out by. */
      by: z.string(),
    }),
  ),
});
export type Summary = z.output<typeof summary>;

export const FLOOR_ORDERS = ['next', 'name', 'newest', 'money'] as const;
export type FloorOrder = (typeof FLOOR_ORDERS)[number];

/** Words of a search, each of which must be found somewhere. */
function found(row: Summary, words: string[]): boolean {
  const text =
    `${row.name} ${row.note} ${row.next} ${row.kind.frame} ${row.kind.gears} ${row.kind.brakes}`.toLowerCase();
  return words.every((word) => text.includes(word));
}

/** How urgent a bicycle is: a timer that is up, then what runs, what stands open, what can be done, what waits, what is sold. */
function urgency(row: Summary, nowMs: number): number {
  if (row.timers.some((timer) => timer.dueAtMs <= nowMs)) return 0;
  if (row.clockSince) return 1;
  if (row.sold || row.wentOut) return 6;
  if (row.loose.length > 0) return 2;
  if (row.bought) return row.waits.length > 0 ? 4 : 3;
  return 5;
}

/** The bicycles of the floor that a search leaves, in the order asked for. */
export function floorRows(
  rows: Summary[],
  { search, order, archived, nowMs }: { search: string; order: FloorOrder; archived: boolean; nowMs: number },
): Summary[] {
  const words = search.toLowerCase().split(/\s+/).filter(Boolean);
  const kept = rows.filter((row) => (row.archivedAt !== null) === archived && found(row, words));
  const by: Record<FloorOrder, (a: Summary, b: Summary) => number> = {
    next: (a, b) => urgency(a, nowMs) - urgency(b, nowMs) || (a.updatedAt < b.updatedAt ? 1 : -1),
    name: (a, b) => a.name.localeCompare(b.name, 'en'),
    newest: (a, b) => (a.createdAt < b.createdAt ? 1 : -1),
    money: (a, b) => b.spent - a.spent,
  };
  return kept.sort(by[order]);
}

/** How it went out, as the floor says it. */
const WENT_WORDS: Record<NonNullable<Summary['wentOut']>, string> = {
  ready: 'Went out ready',
  'as-it-is': 'Went as it is: not roadworthy, not to be ridden',
  parts: 'Went for its parts',
};

/** What a row of the floor says is next. Nothing is sent to be handed over while the law says that it may not go. */
export function rowNext({
  stage,
  next,
  nextPlace,
  sold,
  drawn,
  wentOut,
}: Pick<Summary, 'stage' | 'next' | 'nextPlace' | 'sold' | 'drawn' | 'wentOut'>): {
  stage: Summary['stage'];
  words: string;
  place: string | null;
} {
  const law = drawn?.law;
  if (wentOut && !sold) return { stage: 'hand-over', words: WENT_WORDS[wentOut], place: null };
  if (stage !== 'hand-over' || sold || !law || law.ready) return { stage, words: next, place: nextPlace };
  const things = law.blocks === 1 ? 'one thing stands' : `${law.blocks} things stand`;
  return { stage: 'prove', words: `Not ready: ${things} in the way`, place: null };
}
