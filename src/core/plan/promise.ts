import * as z from 'zod/mini';
import { defineCalculator } from '../calculator';
import { orderedRange, workMinutes } from '../fields';
import { quantileSorted } from '../numbers';
import { own } from '../own';
import { uniformStream } from '../money/streams';
import { row, type WorkingRow } from '../verdict';
import { compiled, type Problem } from './compile';
import { planInput } from './planTask';
import { normalQuantile } from './normalQuantile';
import { Placer } from './schedule';

const input = z.strictObject({
  question: planInput,
  /** The order of the plan: tasks by their first minute. */
  plan: z
    .array(z.strictObject({ task: z.string().check(z.maxLength(120)), fromMin: z.number() }))
    .check(z.maxLength(2000)),
  ranges: z
    .record(z.string().check(z.maxLength(120)), orderedRange(workMinutes))
    .check(
      z.describe(
        'minutes by task: four in five of them lie between low and high; without one it takes what is planned',
      ),
    ),
  draws: z._default(z.number().check(z.multipleOf(1), z.gte(100), z.lte(5000)), 1000),
  chance: z._default(z.number().check(z.gte(0.5), z.lte(0.99)), 0.8),
});

export interface Promise80 {
  bicycle: string;
  /** By when it is out with the chance asked for; null where the sessions do not reach so far. */
  byMin: number | null;
  /** In the middle case. */
  middleMin: number | null;
  /** How often it is out within the sessions at all. */
  inTime: number;
}
export interface PlanPromise {
  promises: Promise80[];
  working: WorkingRow[];
}

const Z80 = 1.2816;
/** All of a shop’s evenings are slow or quick together, a little: of the logarithm. */
const TOGETHER_SD = 0.12;

/** Minutes at a place of the normal line: likely in the middle, one in ten under low, one in ten over high. */
function minutesAt({ low, likely, high }: { low: number; likely: number; high: number }, at: number): number {
  if (likely <= 0) return 0;
  const down = Math.log(likely / Math.max(low, likely / 20)) / Z80;
  const up = Math.log(Math.max(high, likely) / likely) / Z80;
  return likely * Math.exp(at * (at < 0 ? down : up));
}

/** The plan’s order with other minutes: pins hold as earliest moments, and what became longer than any session is gone on with in the next. */
function repaired(problem: Problem, minutes: Float64Array): Problem {
  return {
    ...problem,
    minutes,
    pin: new Float64Array(problem.count).fill(-1),
    earliest: problem.earliest.map((earliest, i) => Math.max(earliest, problem.pin[i]!)),
    splits: problem.splits.map((splits, i) => splits || minutes[i]! > problem.longest),
  };
}

/**
 * When each bicycle can be promised: a plan’s own tasks drawn a thousand times within their ranges, each time the plan’s order laid into the sessions anew (repaired, not planned
 * anew), and of the moments at which a bicycle is out the one that holds with the chance asked for.
 *
 * Units: minutes from one zero. Errors: those of `plan.sessions`. Source: Monte Carlo. Example: one task of 30 min, of which nothing is uncertain, from 0 → 30 with every chance.
 */
export const planPromise = defineCalculator({
  id: 'plan.promise',
  title: 'When it can be promised',
  lane: 'long',
  example: {
    question: { sessions: [{ fromMin: 0, toMin: 240 }], tasks: [{ id: 'cables', bicycle: 'mixte', minutes: 30 }] },
    plan: [{ task: 'cables', fromMin: 0 }],
    ranges: { cables: { low: 20, likely: 30, high: 55 } },
  },
  input,
  run({ question, plan, ranges, draws, chance }): PlanPromise {
    const problem = compiled(question);
    const at = new Map(question.tasks.map((task, i) => [task.id, i]));
    const first = new Map<number, number>();
    for (const { task, fromMin } of plan) {
      const i = at.get(task);
      if (i !== undefined) first.set(i, Math.min(first.get(i) ?? Infinity, fromMin));
    }
    const order = [...first.keys()].toSorted((a, b) => first.get(a)! - first.get(b)!);
    const streams = question.tasks.map(({ id }) => uniformStream(1, id));
    const together = uniformStream(1, 'all evenings together');
    const times = problem.bicycles.map(() => [] as number[]);
    for (let draw = 0; draw < draws; draw++) {
      const shared = Math.exp(TOGETHER_SD * normalQuantile(together()));
      const minutes = Float64Array.from(question.tasks, ({ id, minutes: planned }, i) => {
        const range = own(ranges, id);
        const u = streams[i]!();
        return range ? Math.max(0, Math.round(shared * minutesAt(range, normalQuantile(u)))) : planned;
      });
      const placer = new Placer(repaired(problem, minutes));
      placer.measure(order);
      placer.readyTimes().forEach((time, b) => times[b]!.push(time));
    }
    return {
      promises: problem.bicycles.map((bicycle, b): Promise80 => {
        const sorted = times[b]!.toSorted((x, y) => x - y);
        const inTime = sorted.filter((time) => time < Infinity).length / draws;
        const by = (share: number) =>
          inTime < share
            ? null
            : Math.ceil(
                quantileSorted(
                  sorted.filter((t) => t < Infinity),
                  Math.min(1, share / inTime),
                ),
              );
        return { bicycle, byMin: by(chance), middleMin: by(0.5), inTime };
      }),
      working: [row('n', 'draws', draws), row('p', 'chance', Math.round(chance * 100), '%')],
    };
  },
});
