import type { QuestionOf, AnswerOf } from '@/core/questions';
import type { LearntInUse } from '@/core/money/learnt';
import { MOST_OPEN } from '@/core/plan/work';
import type { WorkshopSettings } from '../settings/settings';
import type { Summary } from '../summary';
import { handsIn, type Session } from './sessions';

type Tasks = AnswerOf<'plan.tasks'>;
type Plan = AnswerOf<'plan.sessions'>;

const MINUTE_MS = 60_000;
/** The plan's zero: whole minutes since the beginning of 1970 would be no rounder. */
export const zeroOf = (now: Date): number => Math.floor(now.getTime() / MINUTE_MS) * MINUTE_MS;

/** A moment in whole minutes of a plan, and back. */
export const minuteOf = (zeroMs: number, ms: number): number => Math.ceil((ms - zeroMs) / MINUTE_MS);
export const momentAt = (zeroMs: number, minute: number): number => zeroMs + minute * MINUTE_MS;

/** The question for `plan.tasks`: every bicycle with something open. */
export function tasksInput(summaries: Record<string, Summary>, learnt: LearntInUse): QuestionOf<'plan.tasks'> {
  return {
    bicycles: Object.values(summaries)
      .filter(({ open }) => open.length > 0)
      .toSorted((a, b) => (a.createdAt < b.createdAt ? -1 : 1))
      .map(({ id, name, open }) => ({ id, name, open: open.slice(0, MOST_OPEN) })),
    learnt,
  };
}

/** Most tasks that are planned at once: of more, those of the bicycles that have the least to do. */
const MOST_TASKS = 300;

/** Tasks that are planned now, and bicycles that have to wait until others are out. */
export function plannedNow({ tasks }: Tasks): { tasks: Tasks['tasks']; later: string[] } {
  const own = new Map<string, Tasks['tasks']>();
  for (const task of tasks) own.set(task.bicycle, [...(own.get(task.bicycle) ?? []), task]);
  const work = (list: Tasks['tasks']) => list.reduce((sum, { minutes }) => sum + minutes, 0);
  const kept: Tasks['tasks'] = [];
  const later: string[] = [];
  for (const [bicycle, list] of [...own].toSorted(([, a], [, b]) => work(a) - work(b)))
    if (kept.length + list.length <= MOST_TASKS) kept.push(...list);
    else later.push(bicycle);
  return { tasks: kept, later };
}

/** Penetrant works overnight and may wait as long as it likes. */
const PENETRANT_WAIT_MIN = 720;

/**
 * Vinegar that nobody would lift out in time is left: penetrant in its stead, which may wait. Example: the next session is in three days → penetrant.
 */
export function withPenetrant(tasks: Tasks['tasks'], { unplanned }: Pick<Plan, 'unplanned'>): Tasks['tasks'] {
  const lost = new Set(unplanned.map(({ task }) => task));
  const swapped = new Set(tasks.flatMap(({ kind, id }) => (kind === 'vinegar' && lost.has(id) ? [id] : [])));
  if (swapped.size === 0) return tasks;
  return tasks.map((task) => {
    if (task.kind === 'lift' && task.after.some((before) => swapped.has(before)))
      return {
        ...task,
        label: task.label.replace('Lift out of the vinegar and oil', 'Wipe off the penetrant and oil'),
      };
    if (!swapped.has(task.id)) return task;
    const { maxWaitMin: _none, ...rest } = task;
    return {
      ...rest,
      label: task.label.replace('Into the vinegar', 'Penetrant, since nobody is here to lift it out of vinegar'),
      waitMin: PENETRANT_WAIT_MIN,
      uses: [],
      holdsWhileWaiting: false,
    };
  });
}

/** The question for `plan.sessions`: tasks from the records, sessions from the week, pins from the hand; `tried` is a pin under the finger. */
export function planInput(
  tasks: Tasks['tasks'],
  sessions: readonly Session[],
  { pins, stands, baths }: Pick<WorkshopSettings, 'pins' | 'stands' | 'baths'>,
  zeroMs: number,
  tried: Readonly<Record<string, string>> = {},
  before: Plan['plan'] = [],
): QuestionOf<'plan.sessions'> {
  const known = new Set(tasks.map(({ id }) => id));
  const all = { ...pins, ...tried };
  const hands = handsIn(sessions);
  return {
    hands: Math.max(1, hands.length),
    sessions: sessions
      .map(({ fromMs, toMs, who }) => ({
        fromMin: Math.max(0, minuteOf(zeroMs, fromMs)),
        toMin: Math.floor((toMs - zeroMs) / MINUTE_MS),
        ...(hands.length > 1 && { hand: hands.indexOf(who) + 1 }),
      }))
      .filter(({ fromMin, toMin }) => toMin > fromMin),
    resources: [
      { id: 'stand', count: stands },
      { id: 'bath', count: Math.max(1, baths.length) },
    ],
    tasks: tasks.map(
      ({
        id,
        bicycle,
        minutes,
        after,
        waitMin,
        uses,
        holdsWhileWaiting,
        splittable,
        maxWaitMin,
        dirty,
        label,
        notBefore,
      }) => ({
        id,
        bicycle,
        minutes,
        after,
        waitMin,
        uses,
        holdsWhileWaiting,
        splittable,
        dirty,
        label,
        earliestMin: notBefore === null ? 0 : Math.max(0, minuteOf(zeroMs, Date.parse(notBefore))),
        ...(maxWaitMin !== undefined && { maxWaitMin }),
      }),
    ),
    pinned: Object.entries(all).flatMap(([task, at]) => {
      if (at === '') return [];
      const fromMin = minuteOf(zeroMs, Date.parse(at));
      return known.has(task) && fromMin >= 0 ? [{ task, fromMin }] : [];
    }),
    before: before.map(({ task, fromMin }) => ({ task, fromMin })),
  };
}

/** The question for `plan.promise`: the plan's own tasks with their ranges. */
export function promiseInput(
  question: QuestionOf<'plan.sessions'>,
  plan: Plan['plan'],
  tasks: Tasks['tasks'],
): QuestionOf<'plan.promise'> {
  return {
    question,
    plan: plan.map(({ task, fromMin }) => ({ task, fromMin })),
    ranges: Object.fromEntries(tasks.map(({ id, range }) => [id, range])),
  };
}
