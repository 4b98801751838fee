'use client';
import { useEffect, useId, useState } from 'react';
import type { InputError } from '@/core/calculator';
import type { AnswerOf, CalculatorId, QuestionOf } from '@/core/questions';
import { Cancelled, type Reckoned } from '@/worker/lanes';
import { reckoner } from '@/worker/client';

export interface Reckoning<Output> {
  output: Output | null;
  errors: InputError[];
  pending: boolean;
  /** True when the reckoning itself broke, which is a fault of ours. */
  failed: boolean;
}

const answered = new Map<string, Reckoned>();
/** Questions that are being answered: another view that asks the same waits for the same answer. */
const asked = new Map<string, Promise<Reckoned>>();
const MOST_ANSWERS = 300;

function remember(key: string, result: Reckoned): void {
  answered.set(key, result);
  if (answered.size > MOST_ANSWERS) answered.delete(answered.keys().next().value!);
}

async function ask(caller: string, id: CalculatorId, key: string): Promise<Reckoned> {
  const running = asked.get(key);
  if (running) {
    try {
      return await running;
    } catch (error) {
      // Whoever asked first has turned to another question; this one still wants its answer.
      if (!(error instanceof Cancelled)) throw error;
    }
  }
  const own = reckoner().reckon(caller, id, JSON.parse(key.slice(id.length + 1)) as never);
  asked.set(key, own);
  try {
    return await own;
  } finally {
    if (asked.get(key) === own) asked.delete(key);
  }
}

/**
 * Asks a calculator in the worker and gives its last answer until the next is there. A later question of the same
 * component cancels its earlier one; an answer is remembered by its question, so that a view drawn again asks nothing.
 * `input` null asks nothing.
 */
export function useReckon<Id extends CalculatorId>(id: Id, input: QuestionOf<Id> | null): Reckoning<AnswerOf<Id>> {
  const caller = `${useId()}${id}`;
  const key = input === null ? null : `${id} ${JSON.stringify(input)}`;
  const [shown, setShown] = useState<{ key: string; result: Reckoned | 'failed' } | null>(null);

  // An answer that is remembered is the last one too: the next question goes on showing it until its own is there.
  const remembered = key === null ? undefined : answered.get(key);
  if (key !== null && remembered && shown?.key !== key) setShown({ key, result: remembered });

  useEffect(() => {
    if (key === null) return;
    if (answered.has(key)) return;
    let gone = false;
    ask(caller, id, key).then(
      (result) => {
        remember(key, result);
        if (!gone) setShown({ key, result });
      },
      (error: unknown) => {
        if (!gone && !(error instanceof Cancelled)) setShown({ key, result: 'failed' });
      },
    );
    return () => {
      gone = true;
    };
  }, [caller, id, key]);

  if (key === null) return { output: null, errors: [], pending: false, failed: false };
  // A question that failed says nothing about the next one; an answer stands until the next is there.
  const last = shown && (shown.key === key || shown.result !== 'failed') ? shown.result : null;
  const result = answered.get(key) ?? last;
  const pending = !answered.has(key) && shown?.key !== key;
  if (result === 'failed') return { output: null, errors: [], pending: false, failed: true };
  return {
    output: result?.ok ? (result.output as AnswerOf<Id>) : null,
    errors: result && !result.ok ? result.errors : [],
    pending,
    failed: false,
  };
}
