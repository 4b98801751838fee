'use client';
import { startTransition, useEffect, useId, useState } from 'react';
import type { InputError } from '@/core/calculator';
import type { AnswerOf, CalculatorId, QuestionOf } from '@/core/questions';
import { Cancelled, type Reckoned } from '@/worker/lanes';
import { answerOf, askOnce, keyOf, outputOf } from './askOnce';

export interface Reckoning<Output> {
  output: Output | null;
  errors: InputError[];
  pending: boolean;
  /** True when the reckoning itself broke, which is a fault of ours. */
  failed: boolean;
}

/**
 * Asks a calculator in the worker and gives its last answer until the next is there. A later question of the same
 * component cancels its earlier one; an answer is remembered by its question, so that a view drawn again asks nothing.
 * `input` null asks nothing. With `onTheWay` better and better answers are shown while the last is still pending.
 */
export function useReckon<Id extends CalculatorId>(
  id: Id,
  input: QuestionOf<Id> | null,
  onTheWay = false,
): Reckoning<AnswerOf<Id>> {
  const caller = `${useId()}${id}`;
  const key = input === null ? null : keyOf(id, input);
  const [shown, setShown] = useState<{ key: string; result: Reckoned | 'failed'; onTheWay?: true } | null>(null);

  // An answer that is remembered is the last one too: the next question goes on showing it until its own is there.
  const remembered = key === null ? undefined : answerOf(key);
  if (key !== null && remembered && (shown?.key !== key || shown.onTheWay)) setShown({ key, result: remembered });

  const isThere = remembered !== undefined || (key !== null && shown?.key === key && !shown.onTheWay);
  useEffect(() => {
    if (key === null || isThere) return;
    let gone = false;
    const hear = (output: unknown) =>
      !gone && startTransition(() => setShown({ key, result: { ok: true, output }, onTheWay: true }));
    askOnce(caller, key, onTheWay ? hear : undefined).then(
      // What an answer draws may be long, and whoever taps meanwhile comes first.
      (result) => !gone && startTransition(() => setShown({ key, result })),
      (error: unknown) => !gone && !(error instanceof Cancelled) && setShown({ key, result: 'failed' }),
    );
    return () => {
      gone = true;
    };
  }, [caller, id, key, isThere, onTheWay]);

  if (key === null) return { output: null, errors: [], pending: false, failed: false };
  // A question that failed says nothing about the next one; an answer stands until the next is there.
  const last = shown && (shown.key === key || shown.result !== 'failed') ? shown.result : null;
  const result = answerOf(key) ?? last;
  const pending = !answerOf(key) && (shown?.key !== key || shown.onTheWay === true);
  if (result === 'failed') return { output: null, errors: [], pending: false, failed: true };
  return {
    output: outputOf(id, result),
    errors: result && !result.ok ? result.errors : [],
    pending,
    failed: false,
  };
}
