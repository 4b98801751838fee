import { own } from '../own';
import * as z from 'zod/mini';
import { bicycleKind } from '../bicycle';
import { defineCalculator, rule } from '../calculator';
import { currencyCode, minorUnits, orderedRange, workMinutes, type Range } from '../fields';
import { appraiseShape, moneyAppraise, type Appraisal, type AppraiseInput } from '../money/appraise';
import { moneyDrive, type Drive } from '../money/drive';
import { learntInUse, learntMinutes, learntResale, learntWords } from '../money/learnt';
import { DOOR_LINE, ORDINARY } from './doorLine';
import { allCosts, deeperOf, type Deeper } from './costs';
import { doorChecksFor, doorLines, type DoorLine } from './door';

const id = z.string().check(z.minLength(1), z.maxLength(64));
const answer = z.enum(['fine', 'bad']);

const shape = z.strictObject({
  kind: z.prefault(bicycleKind, {}),
  door: z._default(z.record(id, answer), {}),
  said: z
    ._default(z.record(z.string().check(z.maxLength(20)), z.string().check(z.maxLength(20))), {})
    .check(z.describe('answers of the seller, by question')),
  learnt: z.prefault(learntInUse, {}).check(z.describe('what finished bicycles taught, as far as it is used')),
  lines: z
    ._default(
      z
        .array(
          z.strictObject({
            id,
            label: z.string().check(z.minLength(1), z.maxLength(120)),
            kind: z.enum(['standing', 'fault']),
            chance: z.number().check(z.gte(0), z.lte(1)),
            parts: orderedRange(minorUnits),
            minutes: orderedRange(workMinutes),
          }),
        )
        .check(z.maxLength(200)),
      [],
    )
    .check(z.describe(`own lines; an id that begins with "${DOOR_LINE}" puts its figures in the stead of the table's`)),
  forParts: z
    ._default(z.boolean(), false)
    .check(z.describe('bought to be broken: what it fetches is what its parts do')),
  currency: currencyCode,
  asking: z._default(z.nullable(minorUnits), null).check(z.describe('null until somebody has said it')),
  paid: z._default(z.nullable(minorUnits), null).check(z.describe('what was paid for it; null before')),
  checks: z
    ._default(z.array(id).check(z.maxLength(400)), [])
    .check(z.describe('the checks of the look-over that the bicycle has')),
  seen: z
    ._default(
      z
        .array(z.strictObject({ check: id, state: z.enum(['fine', 'watch', 'service', 'replace', 'unsafe']) }))
        .check(z.maxLength(400)),
      [],
    )
    .check(z.describe('what is known of them from more than the door')),
  jobs: z
    ._default(
      z
        .array(
          z.strictObject({
            id: z.string().check(z.minLength(1), z.maxLength(120)),
            label: z.string().check(z.minLength(1), z.maxLength(120)),
            check: z._default(z.nullable(id), null),
            place: z._default(z.string().check(z.maxLength(64)), '').check(z.describe('its minutes are learnt by it')),
            decision: z.enum(['keep', 'drop', 'open']),
            done: z._default(z.boolean(), false),
            minutes: orderedRange(workMinutes),
            parts: orderedRange(minorUnits),
          }),
        )
        .check(z.maxLength(500)),
      [],
    )
    .check(z.describe('jobs that are needed or decided on; a needed one nobody has decided on is open')),
  bought: z._default(
    z
      .array(
        z.strictObject({
          label: z.string().check(z.maxLength(120)),
          charged: minorUnits,
          job: z._default(z.nullable(z.string().check(z.maxLength(120))), null),
          consumable: z._default(z.boolean(), false),
        }),
      )
      .check(z.maxLength(1000)),
    [],
  ),
  worked: z.prefault(
    z.strictObject({
      minutes: z._default(z.number().check(z.gte(0), z.lte(10_000_000)), 0),
      onJobs: z._default(z.record(z.string(), z.number().check(z.gte(0), z.lte(10_000_000))), {}),
    }),
    {},
  ),
  resale: orderedRange(minorUnits).check(z.describe('all nought: not known yet, and no ceiling is reckoned')),
  otherCosts: z._default(minorUnits, 0),
  labourPerHour: z._default(minorUnits, 0),
  target: z.strictObject({ kind: z.enum(['profit', 'hourly']), amount: minorUnits }),
  confidence: z._default(z.number().check(z.gte(0.5), z.lte(0.99)), 0.8),
  travel: z
    ._default(
      z.nullable(
        z.strictObject({
          distanceKm: z.number().check(z.gte(0), z.lte(3000)),
          costPerKm: minorUnits,
          haggle: z.number().check(z.gte(0), z.lte(0.6)),
        }),
      ),
      null,
    )
    .check(z.describe('null once one stands at the door: the travel is spent')),
});
const ownLabels = (lines: { id: string; label: string }[]) =>
  lines.filter((line) => !line.id.startsWith(DOOR_LINE)).map((line) => line.label);

const input = rule(
  shape,
  ['lines'],
  ({ lines }) => new Set(ownLabels(lines)).size === ownLabels(lines).length,
  'two of your own lines have one name: give each a name of its own',
);
type Question = z.output<typeof input>;

/** One unit of the currency, in minor ones. */
const WHOLE = 100;

/** Whether to drive is no closer a question than a few thousand trials answer. */
const DRIVE_TRIALS = 4000;

/** The ordinary work is learnt with what is done to frame and finish. */
const ORDINARY_PLACE = 'frame';

/** A line of the door check as it is asked, answered and costed. */
export interface AskedLine extends DoorLine {
  /** What a closer look, or a job, made of it; null where only the door tells. */
  deeper: Deeper;
  ask: string;
  how: string;
  place: string;
  partOf: string;
}

export interface BuyAppraisal {
  door: AskedLine[];
  notLookedAt: number;
  /** The one limit: the most that may be paid for the bicycle with all that is known, and the price that is held against it. */
  limit: Limit;
  /** What is used of what finished bicycles taught. */
  learnt: { key: string; words: string }[];
  /** What the limit hangs on beside the costs. */
  terms: Pick<Question, 'resale' | 'target' | 'confidence' | 'otherCosts' | 'labourPerHour'>;
  /** The costs as they were reckoned with. */
  costs: AppraiseInput['costs'];
  /** Something at the door that no repair line answers; null where nothing of the kind was found. */
  stop: Stop | null;
  appraisal: Appraisal | null;
  drive: Drive | null;
}

export interface Limit {
  /** In whole units; null where nothing is known of what it fetches, or it is past repair. */
  most: number | null;
  price: { amount: number; is: 'asked' | 'paid' } | null;
  /** What lies between them; under nought where the price is over it. */
  room: number | null;
}

export interface Stop {
  /** What was found, as it is called. */
  faults: string[];
  words: string;
}

function stopOf({ kind, door, forParts }: Question): Stop | null {
  const faults = doorChecksFor(kind).flatMap((row) =>
    row.stop === 'yes' && own(door, row.id) === 'bad' ? [row.fault] : [],
  );
  if (faults.length === 0) return null;
  const words = forParts
    ? 'Only its parts are counted: what is cracked or bent is marked or cut, and never sold on.'
    : 'No repair and no price for a rider: what remains is what its parts are worth, or nothing. To reckon that, make it a donor on Decide and say what the parts fetch.';
  return { faults, words };
}

/**
 * The whole appraisal of a bicycle at the door: the ordinary work, what the buyer added, and the door check, whose lines are
 * corrected by what the workshop's finished bicycles taught, where that is used, and by what the seller said, until somebody looked closer: then jobs, hours and
 * parts that were really put down stand in their stead. From these what may be paid, the one limit of this bicycle, and before
 * leaving whether it is worth the drive. A crack, a ripple or a bend at the door is no repair line: there is no ceiling then, except for parts.
 *
 * Units: minor units, minutes. Errors: ranges out of order, two own lines of one name. Source: the table of door checks; `money.appraise`.
 * Example: with no resale known it gives the lines alone.
 */
function run(question: Question): BuyAppraisal {
  const { kind, door, said, lines } = question;
  const own = Object.fromEntries(
    lines
      .filter((line) => line.id.startsWith(DOOR_LINE))
      .map(({ id: line, parts, minutes }) => [line.slice(DOOR_LINE.length), { parts, minutes }]),
  );
  const rows = new Map(doorChecksFor(kind).map((row) => [row.id, row]));
  const seen = new Map(question.seen.map((each) => [each.check, each]));
  const has = new Set(question.checks);
  const { bought, worked, learnt } = question;
  const inTime = <Job extends { minutes: Range }>(job: Job, place: string): Job => ({
    ...job,
    minutes: learntMinutes(job.minutes, place, learnt),
  });
  const jobs = question.jobs.map((job) => inTime(job, job.place));
  const asked = doorLines(kind, door, learnt.chances, own, said).map((line): AskedLine => {
    const { label, how, place, partOf } = rows.get(line.id)!;
    const deeper = deeperOf(line.id, seen, jobs, has);
    const answer = deeper === 'fine' ? 'fine' : deeper === null ? line.answer : 'bad';
    const chance = deeper === 'fine' ? 0 : deeper === null ? line.chance : 1;
    return { ...line, ask: label, how, place, partOf, answer, chance, deeper, why: deeper === null ? line.why : [] };
  });
  const ownLines = lines.filter((line) => !line.id.startsWith(DOOR_LINE));
  const stop = stopOf(question);
  const costs = allCosts({
    own: ownLines.map(({ id: line, label, kind: sort, chance, parts, minutes }) =>
      inTime({ id: line, label, kind: sort, chance, parts, minutes }, line === ORDINARY ? ORDINARY_PLACE : ''),
    ),
    // Broken for its parts, nothing is repaired.
    door: stop ? [] : asked.map((line) => inTime(line, line.place)),
    jobs,
    seen,
    has,
    bought,
    worked,
  });
  const { currency, asking, paid, otherCosts, labourPerHour, target, confidence, travel } = question;
  const resale = learntResale(question.resale, learnt);
  const price =
    paid === null
      ? asking === null
        ? null
        : { amount: asking, is: 'asked' as const }
      : { amount: paid, is: 'paid' as const };
  const problem = appraiseShape.safeParse({
    currency,
    asking: price?.amount ?? 0,
    resale,
    costs,
    otherCosts,
    labourPerHour,
    target,
    confidence,
  });
  const known = resale.high > 0 && problem.success && (stop === null || question.forParts);
  const appraisal = known ? moneyAppraise.run(problem.data) : null;
  // A limit is said in whole units, and never above what was reckoned.
  const most = appraisal ? Math.floor(appraisal.ceiling / WHOLE) * WHOLE : null;
  return {
    limit: { most, price, room: most === null || price === null ? null : most - price.amount },
    terms: { resale, target, confidence, otherCosts, labourPerHour },
    learnt: learntWords(learnt),
    door: asked,
    notLookedAt: asked.filter((line) => line.answer === null).length,
    costs,
    stop,
    appraisal,
    drive:
      known && travel && asking !== null
        ? moneyDrive.run({
            appraisal: { ...problem.data, trials: DRIVE_TRIALS },
            travel: { distanceKm: travel.distanceKm, costPerKm: travel.costPerKm, speedKmh: 50 },
            haggle: travel.haggle,
          })
        : null,
  };
}

export const buyAppraise = defineCalculator({
  id: 'buy.appraise',
  title: 'A bicycle appraised at the door',
  lane: 'long',
  example: {
    currency: 'EUR',
    asking: 14000,
    resale: { low: 26000, likely: 30000, high: 34000 },
    target: { kind: 'hourly', amount: 1500 },
    door: { tyres: 'bad', chain: 'fine' },
  },
  input,
  run,
});
export type BuyAppraiseInput = z.input<typeof input>;
