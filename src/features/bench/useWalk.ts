'use client';
import { useRouter } from 'next/navigation';
import { useEffect, useState } from 'react';
import type { Bicycle } from '@/model/record';
import { useKeys } from '@/ui/keys/useKeys';
import type { DeclaredTask } from '../workshop/declared';
import { placeHref } from '../workshop/usePlaceAt';
import { stageHref } from '../workshop/stageLink';
import { nowIso } from '@/store/now';
import { useHand } from '../workshop/useHand';
import { useSettings, useWorkshop, type StageProps } from '../workshop/WorkshopProvider';
import { firstStep, type OwnedStep } from './useBenchSteps';

/** The most that is counted by keys; a longer number is typed. */
const MOST = 200;

/** Where the bench was left, if it was left in this task and at this place. */
export function leftAt({ bench }: Bicycle, task: DeclaredTask, place: string): string | null {
  return bench?.task === task.id && (!task.byPlace || bench.place === place) ? bench.step : null;
}

/** The way through the steps of a task, by keys and taps: where it stands is kept with the bicycle. */
export function useWalk({ bicycle, send }: StageProps, task: DeclaredTask, place: string, owned: OwnedStep[]) {
  const workshop = useWorkshop();
  const router = useRouter();
  const { letterKeys } = useSettings();
  const { name: by } = useHand();
  const steps = owned.map(({ step }) => step);
  const left = leftAt(bicycle, task, place);
  const [at, setAt] = useState<string | null>(left);
  const index = firstStep(steps, at ?? left);
  const step = steps[index];
  const last = index === steps.length - 1;

  // Where the bench stands is kept, so that it opens there again after a crash and on another day.
  const stepId = step?.id ?? null;
  useEffect(() => {
    if (!stepId || !step) return;
    if (left !== stepId) send({ type: 'benchAt', bench: { place: step.place, task: task.id, step: stepId } });
  }, [stepId]); // oxlint-disable-line react/exhaustive-deps -- once a step, not once a change of the record

  const go = (to: number) => setAt(steps[Math.min(Math.max(to, 0), steps.length - 1)]?.id ?? null);
  const leave = (done: boolean) => {
    if (done) send({ type: 'benchAt', bench: null });
    router.push(task.toPlace ? placeHref(bicycle.id, task.stage, place) : stageHref(bicycle.id, task.stage));
  };
  const forward = () => {
    if (!step) return;
    if (step.waitsFor && !step.done) {
      workshop.say(step.waitsFor);
      return;
    }
    if (step.finish && !step.done)
      send(typeof step.finish === 'function' ? step.finish({ at: nowIso(), by }) : step.finish);
    if (last) leave(steps.every((each) => each.done || each.id === step.id));
    else go(index + 1);
  };
  /** Past what is waited for, where that may be left. */
  const pass = () => {
    if (step?.mayLeave == null) return;
    if (last) leave(false);
    else go(index + 1);
  };
  const count = (by: number) => {
    const tally = step?.tally;
    if (tally) send(tally.put(Math.min(MOST, Math.max(0, (tally.count ?? 0) + by))));
  };
  useKeys(
    ['bench'],
    {
      'step-done': forward,
      'step-back': () => go(index - 1),
      'step-leave': pass,
      'leave-bench': () => leave(false),
      'ball-more': () => count(1),
      'ball-less': () => count(-1),
      'bench-photo': () => document.getElementById('bench-photo')?.click(),
    },
    letterKeys,
    true,
  );
  return { index, last, go, leave, forward, pass, finished: steps.length > 0 && steps.every((each) => each.done) };
}
