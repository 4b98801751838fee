'use client';
import { startTransition, useEffect, useId, useMemo, useState } from 'react';
import type { CalculatorId } from '@/core/questions';
import type { Reckoned } from '@/worker/lanes';
import { answerOf, askOnce, keyOf, outputOf, type Question } from './askOnce';

/**
 * Asks several calculators at once, as those who contribute to a shell do: the answer of each, or null where it asks
 * nothing, refuses, or is not there yet. An answer stands until the next one of the same position is there.
 */
export function useAnswers(questions: readonly (Question | null)[]): unknown[] {
  const id = useId();
  const all = JSON.stringify(questions.map((question) => (question ? keyOf(question.id, question.input) : null)));
  const [shown, setShown] = useState<Record<number, { id: string; result: Reckoned }>>({});
  useEffect(() => {
    let gone = false;
    (JSON.parse(all) as (string | null)[]).forEach((key, i) => {
      if (key === null) return;
      // A question that breaks or is overtaken leaves what stood there.
      askOnce(`${id}${i}`, key).then(
        (result) => !gone && startTransition(() => setShown((was) => ({ ...was, [i]: { id: idOf(key), result } }))),
        () => undefined,
      );
    });
    return () => {
      gone = true;
    };
  }, [id, all]);
  // The same answers are the same list, so that whoever works on from them need not do it again.
  return useMemo(
    () =>
      (JSON.parse(all) as (string | null)[]).map((key, i) => {
        if (key === null) return null;
        const last = shown[i]?.id === idOf(key) ? shown[i].result : null;
        return outputOf(idOf(key), answerOf(key) ?? last);
      }),
    [all, shown],
  );
}

/** The calculator that a key is of. */
const idOf = (key: string): CalculatorId => key.split(' ', 1)[0] as CalculatorId;
