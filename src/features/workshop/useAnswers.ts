'use client';
import { startTransition, useEffect, useId, useState } from 'react';
import type { Reckoned } from '@/worker/lanes';
import { answerOf, askOnce, keyOf, outputOf, type Question } from './askOnce';

/**
 * Asks several calculators at once, as those who contribute to a shell do: the answer of each, or null where it asks
 * nothing, refuses, or is not there yet. An answer stands until the next one of the same position is there.
 */
export function useAnswers(questions: readonly (Question | null)[]): unknown[] {
  const id = useId();
  const keys = questions.map((question) => (question ? keyOf(question.id, question.input) : null));
  const [shown, setShown] = useState<Record<number, { id: string; result: Reckoned }>>({});
  const all = JSON.stringify(keys);
  useEffect(() => {
    let gone = false;
    (JSON.parse(all) as (string | null)[]).forEach((key, i) => {
      if (key === null) return;
      // A question that breaks or is overtaken leaves what stood there.
      askOnce(`${id}${i}`, key).then(
        (result) =>
          !gone && startTransition(() => setShown((was) => ({ ...was, [i]: { id: key.split(' ', 1)[0]!, result } }))),
        () => undefined,
      );
    });
    return () => {
      gone = true;
    };
  }, [id, all]);
  return questions.map((question, i) => {
    if (!question) return null;
    const last = shown[i]?.id === question.id ? shown[i].result : null;
    return outputOf(question.id, answerOf(keys[i]!) ?? last);
  });
}
