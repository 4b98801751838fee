import { defineCalculator } from '../calculator';
import { row, type WorkingRow } from '../verdict';
import { lowerBound } from './bound';
import { compiled, type Problem } from './compile';
import { planInput, type PlanQuestion } from './planTask';
import { Placer } from './schedule';
import { searched, type Found } from './search';
import { tidied } from './tidied';

export interface Planned {
  task: string;
  /** Whose hands, from 1, where there are several. */
  hand?: number;
  fromMin: number;
  toMin: number;
}
export interface SessionPlan {
  /** Stretch by stretch, in time. */
  plan: Planned[];
  waits: Planned[];
  ready: { bicycle: string; atMin: number }[];
  /** What no plan of these bicycles can be under. */
  lowerBound: number;
  /** Mean of the moments at which bicycles are ready, or the last of them; of those that are planned whole. */
  value: number;
  proven: boolean;
  unplanned: { task: string; why: string }[];
  verdict: 'complete' | 'partial' | 'nothing-fits';
  reasons: string[];
  working: WorkingRow[];
}

/** Pins that the plan cannot keep are let go of, so that their time is not lost too; whatever they are told for stays. */
function withoutLostPins(
  problem: Problem,
  found: Found,
  hear: (problem: Problem) => ((found: Found) => void) | undefined,
): { problem: Problem; found: Found } {
  const schedule = new Placer(problem).schedule(found.order);
  const lost = found.order.filter((i) => problem.pin[i]! >= 0 && schedule.end[i]! < 0);
  if (lost.length === 0) return { problem, found };
  const rest: Problem = { ...problem, hopeless: new Map(problem.hopeless), pinsCollide: true };
  for (const i of lost) rest.hopeless.set(i, schedule.why.get(i) ?? 'it cannot be kept where it is pinned');
  return { problem: rest, found: searched(rest, hear(rest)) };
}

function reasonsOf(
  plan: Pick<SessionPlan, 'verdict' | 'unplanned' | 'proven'>,
  by: Found['by'],
  count: number,
  words: string,
): string[] {
  const left = plan.unplanned.length;
  return [
    plan.verdict === 'nothing-fits'
      ? count === 0
        ? 'There is nothing to plan.'
        : 'Nothing fits into these sessions.'
      : left === 0
        ? 'All of it is planned.'
        : `${left === 1 ? 'One task is' : `${left} tasks are`} left out.`,
    plan.proven
      ? by === 'every order'
        ? 'No order is better: every one was gone through.'
        : 'No plan is better: it meets its bound.'
      : `The bound: ${words}.`,
  ];
}

/** The plan of a question; `onBetter` hears each better one on the way, whole and never called proven. */
export function plannedSessions(question: PlanQuestion, onBetter?: (plan: SessionPlan) => void): SessionPlan {
  const first = compiled(question);
  const hear = (problem: Problem) => onBetter && ((found: Found) => onBetter(asPlan(question, problem, found)));
  const { problem, found } = withoutLostPins(first, searched(first, hear(first)), hear);
  return asPlan(question, problem, tidied(problem, found));
}

/** An order that was found, as it is told. */
function asPlan(question: PlanQuestion, problem: Problem, found: Found): SessionPlan {
  const placer = new Placer(problem);
  const schedule = placer.schedule(found.order);
  const times = placer.readyTimes();
  const out = [...times.keys()].filter((b) => times[b] !== Infinity);
  const bound = lowerBound(problem, out);
  const name = (i: number) => question.tasks[i]!.id;
  const plan: Planned[] = [];
  const waits: Planned[] = [];
  const unplanned: SessionPlan['unplanned'] = [];
  for (let i = 0; i < problem.count; i++) {
    if (schedule.end[i]! < 0) {
      unplanned.push({
        task: name(i),
        why: schedule.why.get(i) ?? 'no room is left for it before the last session ends',
      });
      continue;
    }
    const pieces = schedule.pieces.get(i) ?? [schedule.start[i]!, schedule.end[i]!];
    for (let k = 0; k < pieces.length; k += 2)
      plan.push({
        task: name(i),
        fromMin: pieces[k]!,
        toMin: pieces[k + 1]!,
        ...(question.hands > 1 && { hand: schedule.hand[i]! + 1 }),
      });
    if (problem.wait[i]! > 0)
      waits.push({ task: name(i), fromMin: schedule.end[i]!, toMin: schedule.end[i]! + problem.wait[i]! });
  }
  plan.sort((a, b) => a.fromMin - b.fromMin || a.toMin - b.toMin);
  waits.sort((a, b) => a.fromMin - b.fromMin);
  const verdict = plan.length === 0 ? 'nothing-fits' : unplanned.length > 0 ? 'partial' : 'complete';
  // The bound is of the bicycles that are out: with others left in, another choice of them may be better.
  const proven = found.proven && !problem.pinsCollide && (found.by === 'every order' || unplanned.length === 0);
  const value = schedule.value;
  return {
    plan,
    waits,
    ready: out
      .map((b) => ({ bicycle: problem.bicycles[b]!, atMin: times[b]! }))
      .toSorted((a, b) => a.atMin - b.atMin || (a.bicycle < b.bicycle ? -1 : 1)),
    lowerBound: bound.value,
    value,
    proven,
    unplanned,
    verdict,
    reasons: reasonsOf({ verdict, unplanned, proven }, found.by, problem.count, bound.words),
    working: [
      row(
        'v',
        question.objective === 'all-done-soonest' ? 'the last bicycle is ready' : 'bicycles are ready, on average',
        Math.round(value),
        'min',
      ),
      row('b', `no plan is under: ${bound.words}`, Math.round(bound.value), 'min'),
      row('n', 'tasks', problem.count),
    ],
  };
}

/**
 * What to do when: tasks of several bicycles laid into sessions, with one pair of hands or several, waits that run on the clock, what there is one of, what must be closed
 * in one session and what must be lifted out in time. An order of tasks falls out in time as early as it can (`Placer`); every order of up to eight tasks is
 * gone through (with several pairs of hands that proves it only where all are there at the same times, and nothing is pinned, closed together or to be followed in time), more are searched from several beginnings by moving one task at a time, bounded by placings; where it costs nothing, dirty work of a session
 * goes before clean work. What cannot be placed is told with why, and the rest is planned.
 *
 * Units: whole minutes from one zero. Errors: a session that ends before it begins, unknown names, two of one name. Source: branch and bound; late-acceptance search.
 * Example: 30 and 60 minutes of two bicycles in one session from 0 → ready at 30 and 90, mean 60, proven.
 */
export const planSessions = defineCalculator({
  id: 'plan.sessions',
  title: 'What to do when',
  lane: 'long',
  example: {
    sessions: [
      { fromMin: 0, toMin: 40 },
      { fromMin: 1440, toMin: 1560 },
    ],
    resources: [{ id: 'bath', count: 1 }],
    tasks: [
      {
        id: 'soak',
        bicycle: 'mixte',
        minutes: 10,
        waitMin: 480,
        uses: ['bath'],
        holdsWhileWaiting: true,
        maxWaitMin: 1500,
      },
      { id: 'rinse', bicycle: 'mixte', minutes: 15, after: ['soak'] },
      { id: 'cables', bicycle: 'tourer', minutes: 30 },
    ],
  },
  input: planInput,
  run: (question, onBetter): SessionPlan => plannedSessions(question, onBetter),
});
