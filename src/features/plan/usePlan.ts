'use client';
import { useMemo, useState } from 'react';
import type { AnswerOf } from '@/core/questions';
import { planInput, plannedNow, promiseInput, tasksInput, withPenetrant, zeroOf } from '@/model/plan/question';
import { handsIn, sessionsAhead, type Session } from '@/model/plan/sessions';
import { useHand } from '../workshop/useHand';
import { useLearnt } from '../workshop/useLearnt';
import { useNow } from '../workshop/useNow';
import { useReckon } from '../workshop/useReckon';
import { useSettings, useWorkshopState } from '../workshop/WorkshopProvider';

export type OpenTask = AnswerOf<'plan.tasks'>['tasks'][number];
export type SessionPlan = AnswerOf<'plan.sessions'>;

/** A plan is made anew at the soonest every so many minutes, so that it does not run under the eyes of whoever reads it. */
const STEP_MS = 5 * 60_000;

/** The moment that a plan is made from: it moves in steps. */
function usePlanMoment(): Date {
  const now = useNow(20_000);
  const step = Math.floor(now.getTime() / STEP_MS);
  return useMemo(() => new Date(step * STEP_MS), [step]);
}

/** Now as a session of its own: as long as whoever is at the bench has, before all others of theirs. */
export function withNow(sessions: readonly Session[], fromMs: number, minutes: number, who: string): Session[] {
  const toMs = fromMs + minutes * 60_000;
  if (minutes <= 0) return [...sessions];
  return [
    { key: 'now', who, fromMs, toMs },
    ...sessions
      .map((each) => (each.who === who ? { ...each, fromMs: Math.max(each.fromMs, toMs) } : each))
      .filter((each) => each.toMs > each.fromMs),
  ].toSorted((a, b) => a.fromMs - b.fromMs);
}

/** A plan of what is open, without its promises. */
export interface OpenPlan {
  zeroMs: number;
  sessions: Session[];
  /** Whose hands the plan speaks of, by its numbers. */
  hands: string[];
  tasks: OpenTask[];
  left: AnswerOf<'plan.tasks'>['left'];
  later: string[];
  plan: SessionPlan | null;
  /** What must be taken out by a moment that no session reaches. */
  late: OpenTask[];
  pending: boolean;
  errors: { path: string; message: string }[];
}
export interface WholePlan extends OpenPlan {
  promises: AnswerOf<'plan.promise'>['promises'];
}

/** Tasks whose latest moment the plan does not keep. */
function lateOf(tasks: readonly OpenTask[], plan: SessionPlan | null, zeroMs: number): OpenTask[] {
  const startOf = new Map(plan?.plan.toReversed().map(({ task, fromMin }) => [task, zeroMs + fromMin * 60_000]));
  return tasks.filter(({ id, latest }) => latest !== null && !((startOf.get(id) ?? Infinity) <= Date.parse(latest)));
}

/** What is open as a question, and its plan. */
function useAsked(have: number, tried: Readonly<Record<string, string>>, isTime = true) {
  const settings = useSettings();
  const { id: me } = useHand();
  const moment = usePlanMoment();
  const learnt = useLearnt();
  const summaries = useWorkshopState((state) => state.summaries);
  const open = useMemo(() => (isTime && learnt ? tasksInput(summaries, learnt) : null), [isTime, summaries, learnt]);
  const found = useReckon('plan.tasks', open);
  const zeroMs = zeroOf(moment);
  const sessions = useMemo(
    () => withNow(sessionsAhead(settings, moment), zeroMs, have, me),
    [settings, moment, zeroMs, have, me],
  );
  const { tasks, later } = useMemo(
    () => (found.output ? plannedNow(found.output) : { tasks: [], later: [] }),
    [found.output],
  );
  const inputs = useMemo(
    () => (found.output ? { tasks, sessions, settings, zeroMs, tried } : null),
    [found.output, tasks, sessions, settings, zeroMs, tried],
  );
  const [asked, setAsked] = useState<{ inputs: typeof inputs; tasks: OpenTask[]; before: SessionPlan['plan'] }>({
    inputs: null,
    tasks: [],
    before: [],
  });
  const question = useMemo(() => {
    const { inputs: of, tasks: now, before } = asked;
    return of && planInput(now, of.sessions, of.settings, of.zeroMs, of.tried, before);
  }, [asked]);
  const { output: plan, pending, errors } = useReckon('plan.sessions', question, true);
  // What is asked anew is told of the plan of before, which is kept to wherever nothing is better.
  if (inputs !== asked.inputs) setAsked({ inputs, tasks: inputs?.tasks ?? [], before: plan?.plan ?? [] });
  else if (plan && !pending) {
    const instead = withPenetrant(asked.tasks, plan);
    if (instead !== asked.tasks) setAsked({ ...asked, tasks: instead });
  }
  const whole: OpenPlan = {
    zeroMs,
    sessions,
    hands: handsIn(sessions),
    tasks: asked.tasks,
    left: found.output?.left ?? [],
    later,
    plan,
    late: plan && !pending ? lateOf(asked.tasks, plan, zeroMs) : [],
    pending: pending || found.pending,
    errors,
  };
  return { question, isPlanned: plan !== null && !pending, whole };
}

const NOTHING_TRIED = {};
/** The plan of what is open, by the sessions alone; `isTime` false asks nothing yet. */
export const useOpenPlan = (isTime: boolean): OpenPlan => useAsked(0, NOTHING_TRIED, isTime).whole;

/** The plan of everything that is open, from the records, the week and the hand; `have` are the minutes that somebody has now, `tried` a pin under the finger. */
export function usePlan(have: number, tried: Readonly<Record<string, string>>): WholePlan {
  const { question, isPlanned, whole } = useAsked(have, tried);
  const { plan, tasks } = whole;
  const promise = useReckon(
    'plan.promise',
    useMemo(
      () => (question && plan && isPlanned && plan.plan.length > 0 ? promiseInput(question, plan.plan, tasks) : null),
      [question, plan, isPlanned, tasks],
    ),
  );
  return { ...whole, promises: promise.pending ? [] : (promise.output?.promises ?? []) };
}

/** What a changed plan did to the moments at which bicycles are out, in sentences; nothing where nothing moved. */
export function useMoves(
  plan: SessionPlan | null,
  pending: boolean,
  zeroMs: number,
  say: (bicycle: string, fromMs: number | null, toMs: number | null) => string,
): string[] {
  const [last, setLast] = useState<{ plan: SessionPlan; at: Map<string, number> } | null>(null);
  const [moves, setMoves] = useState<string[]>([]);
  if (plan && !pending && last?.plan !== plan) {
    const at = new Map(plan.ready.map(({ bicycle, atMin }) => [bicycle, zeroMs + atMin * 60_000]));
    if (last) {
      const told = [...new Set([...last.at.keys(), ...at.keys()])].flatMap((bicycle) => {
        const [from, to] = [last.at.get(bicycle) ?? null, at.get(bicycle) ?? null];
        // A few minutes are no news.
        if (from !== null && to !== null && Math.abs(from - to) < 30 * 60_000) return [];
        return from === to ? [] : [say(bicycle, from, to)];
      });
      if (told.length > 0) setMoves(told);
    }
    setLast({ plan, at });
  }
  return moves;
}
