import * as z from 'zod/mini';
import { defineCalculator } from '../calculator';
import { learntInUse, learntMinutes, minutesWhy, timesOf, type LearntInUse } from '../money/learnt';
import { kindOfPlace } from '../money/workKinds';
import type { Range } from '../fields';
import { work } from './data/work';
import type { PlanTask } from './planTask';
import { MOST_OPEN, openWork, WORK, type OpenWork, type Work } from './work';

const input = z.strictObject({
  bicycles: z
    .array(
      z.strictObject({
        id: z.string().check(z.minLength(1), z.maxLength(100)),
        name: z.string().check(z.maxLength(200)),
        open: z.array(openWork).check(z.maxLength(MOST_OPEN)),
      }),
    )
    .check(z.maxLength(500)),
  learnt: z.prefault(learntInUse, {}),
});

/** A task of the plan with what the plan itself does not need: its range, its place, how it came to its minutes. */
export interface OpenTask extends PlanTask {
  kind: Work;
  place: string | null;
  label: string;
  range: Range;
  /** Not before this moment, as the record has it; null where it may begin at once. */
  notBefore: string | null;
  latest: string | null;
  buys: number | null;
  why: string | null;
}
export interface PlanTasks {
  tasks: OpenTask[];
  /** What waits for something of which nobody knows the day. */
  left: { bicycle: string; task: string; label: string; why: string }[];
}

const ROWS = new Map(work.map((row) => [row.kind, row]));
/** Kinds of work of a bicycle that come one after the other. */
const RANK: Record<Work, number> = Object.fromEntries(WORK.map((kind, i) => [kind, i])) as Record<Work, number>;
/** Longer work than this is gone on with another time, unless it would lie open: bearings are closed in one go. */
const LONG_MIN = 90;
const CLOSED_IN_ONE = new Set(['hubs', 'headset', 'bottom bracket']);
const OFF_THE_STAND = new Set(['wheels', 'hubs', 'tyres']);

const rowOf = (kind: Work) => ROWS.get(kind)!;

function rangeOf({ kind, minutes, parts }: OpenWork): Range {
  if (minutes) return minutes;
  const { minutesLow, minutesLikely, minutesHigh, perPart } = rowOf(kind);
  const more = perPart * parts;
  return { low: minutesLow + more, likely: minutesLikely + more, high: minutesHigh + more };
}

const isAt = (place: string | null) => (each: OpenWork) => each.place !== null && each.place === place;

/** What a piece of work comes after, among what is open on the same bicycle. */
function comesAfter(each: OpenWork, open: readonly OpenWork[]): OpenWork[] {
  const of = (...kinds: Work[]) => open.filter(({ kind }) => kinds.includes(kind));
  switch (each.kind) {
    case 'take-out':
    case 'vinegar':
    case 'wash':
      return [];
    case 'lift':
      return of('vinegar');
    case 'rinse':
      return of('wash');
    case 'overhaul':
      return [...of('rinse', 'lift'), ...of('take-out').filter(isAt(each.place))];
    case 'job':
      // What lies in the bath is not at hand.
      return of('take-out').filter(isAt(each.place));
    case 'back':
      return [...of('rinse', 'lift'), ...of('overhaul', 'job', 'take-out').filter(isAt(each.place))];
    case 'torque':
      return of('job', 'overhaul', 'back', 'take-out', 'rinse', 'lift');
    default:
      return open.filter(({ kind }) => RANK[kind] < RANK[each.kind]);
  }
}

function taskOf(bicycle: string, each: OpenWork, open: readonly OpenWork[], learnt: LearntInUse): OpenTask {
  const row = rowOf(each.kind);
  const kind = each.place === null ? null : kindOfPlace(each.place);
  const range = each.place === null ? rangeOf(each) : learntMinutes(rangeOf(each), each.place, learnt);
  const minutes = Math.max(1, Math.round(range.likely));
  const stands = each.kind === 'job' && kind !== null && !OFF_THE_STAND.has(kind);
  const uses = row.uses !== null ? [row.uses] : stands ? ['stand'] : [];
  const inOne = kind !== null && CLOSED_IN_ONE.has(kind);
  return {
    id: `${bicycle}/${each.id}`,
    bicycle,
    minutes,
    after: comesAfter(each, open).map(({ id }) => `${bicycle}/${id}`),
    waitMin: row.waitMin,
    uses,
    holdsWhileWaiting: row.holds === 'yes',
    dirty: row.dirty === 'yes' || inOne,
    splittable: row.splits === 'long' && minutes > LONG_MIN && !inOne,
    earliestMin: 0,
    ...(row.maxWaitMin !== null && { maxWaitMin: row.maxWaitMin }),
    label: each.label,
    kind: each.kind,
    place: each.place,
    range,
    notBefore: each.notBefore,
    latest: each.latest,
    buys: each.buys,
    why: each.place !== null && kind !== null && timesOf(learnt, kind) ? minutesWhy(each.place, learnt) : null,
  };
}

/**
 * The tasks of a plan, from what is open on each bicycle: minutes as estimated or as usual, with what was learnt; what comes after what; what soaks; what there is one of; what may
 * be gone on with another time. A job that waits for a delivery of which nobody knows the day is told, and so is what comes after it.
 *
 * Units: minutes. Errors: those of the schema. Source: the table of usual minutes; `money.learn`. Example: parts unwashed in a tray → into the bath, out of it after its soak, back together.
 */
export const planTasks = defineCalculator({
  id: 'plan.tasks',
  title: 'What there is to do, as tasks of a plan',
  example: {
    bicycles: [
      {
        id: 'mixte',
        name: 'Mixte',
        open: [
          {
            id: 'job:cables',
            kind: 'job',
            place: 'cables.brake',
            label: 'New brake cables',
            minutes: { low: 20, likely: 30, high: 50 },
            parts: 0,
            notBefore: null,
            latest: null,
            buys: null,
            waitsFor: null,
          },
        ],
      },
    ],
  },
  input,
  run({ bicycles, learnt }): PlanTasks {
    const tasks: OpenTask[] = [];
    const left: PlanTasks['left'] = [];
    for (const { id, open } of bicycles) {
      const waiting = new Map<string, string>();
      for (const each of open)
        if (each.waitsFor !== null) waiting.set(each.id, `it waits for ${each.waitsFor}, and no day is known`);
      // What comes after something that waits, waits too.
      for (const each of open.toSorted((a, b) => RANK[a.kind] - RANK[b.kind])) {
        const before = comesAfter(each, open).find((other) => waiting.has(other.id));
        if (before && !waiting.has(each.id)) waiting.set(each.id, `it comes after “${before.label}”, which waits`);
      }
      for (const each of open) {
        const why = waiting.get(each.id);
        if (why === undefined) tasks.push(taskOf(id, each, open, learnt));
        else left.push({ bicycle: id, task: `${id}/${each.id}`, label: each.label, why });
      }
    }
    return { tasks, left };
  },
});
