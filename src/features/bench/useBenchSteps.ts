'use client';
import { use } from 'react';
import type { Bicycle } from '@/model/record';
import type { BenchTask } from '@/model/work/part';
import {
  questionOf,
  useDeclared,
  type Around,
  type BenchPart,
  type BenchStep,
  type Declared,
  type Known,
} from '../workshop/declared';
import { useAnswers } from '../workshop/useAnswers';

const loading = new WeakMap<object, Promise<BenchPart<never>[]>>();

/** Who gives steps to a task: whoever declares it first, then the others in their order. */
export function benchLoaders(declared: readonly Declared[], task: BenchTask): (() => Promise<BenchPart<never>>)[] {
  const owns = ({ tasks }: Declared) => Number(tasks?.some(({ id }) => id === task) ?? false);
  return declared.toSorted((a, b) => owns(b) - owns(a)).flatMap(({ bench }) => bench?.[task] ?? []);
}

/** What the subjects give to a task; fetched once. */
function partsOf(declared: readonly Declared[], task: BenchTask): Promise<BenchPart<never>[]> {
  const loaders = benchLoaders(declared, task);
  const [first] = loaders;
  if (!first) return Promise.resolve([]);
  const known = loading.get(first);
  if (known) return known;
  const parts = Promise.all(loaders.map((load) => load()));
  loading.set(first, parts);
  return parts;
}

/** A step with the part that it is of, and what that part was answered. */
export interface OwnedStep {
  step: BenchStep;
  part: BenchPart<never>;
  answer: never;
}

/** The steps of a task, in the order of the subjects that give them, and what it is at. Waits until the parts are there. */
export function useBenchSteps(
  bicycle: Bicycle,
  task: BenchTask,
  place: string,
  known: Known,
  around: Around,
): { steps: OwnedStep[]; of: string | null; pending: boolean } {
  const parts = use(partsOf(useDeclared(), task));
  const answers = useAnswers(parts.map(({ asks }) => questionOf(asks, bicycle, around)));
  // All of them or none: a task opens at its first open step, whoever answers sooner.
  const pending = parts.some(({ asks }, i) => asks !== undefined && answers[i] === null);
  const steps = (pending ? [] : parts).flatMap((part, i) => {
    const answer = answers[i] as never;
    return part.steps(bicycle, { ...known, answer, place }).map((step) => ({ step, part, answer }));
  });
  const of = parts.map((part, i) => (answers[i] === null ? null : (part.of?.(answers[i] as never, place) ?? null)));
  return {
    steps,
    of: of.find((words) => words !== null) ?? null,
    pending,
  };
}

/** Where a task opens: at the step it was left at, else at the first that is not done. */
export function firstStep(steps: readonly BenchStep[], left: string | null): number {
  const kept = left === null ? -1 : steps.findIndex((step) => step.id === left);
  if (kept >= 0) return kept;
  const open = steps.findIndex((step) => !step.done);
  return open >= 0 ? open : Math.max(0, steps.length - 1);
}
