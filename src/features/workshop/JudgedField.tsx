'use client';
import { useState } from 'react';
import { stateOf } from '@/core/vocabulary/verdicts';
import { ReadingField, type ReadingFieldProps } from '@/ui/ReadingField';
import type { AnswerOf, CalculatorId, QuestionOf } from '@/core/questions';
import { useReckon } from './useReckon';

/** The calculators whose answer is a verdict with its reasons. */
type JudgeId = {
  [Id in CalculatorId]: AnswerOf<Id> extends { verdict: string; reasons: string[] } ? Id : never;
}[CalculatorId];

/** What judges a reading: a calculator, and its question for a value that is being typed. */
export type Judge = { [Id in JudgeId]: { calculator: Id; question(value: number): QuestionOf<Id> | null } }[JudgeId];

/** A reading field that shows the limit and the verdict of a calculator while the value is being typed. */
export function JudgedField({ calculator, question, ...field }: Omit<ReadingFieldProps, 'judge' | 'onDraft'> & Judge) {
  const [draft, setDraft] = useState<number | null>(null);
  const asked = draft !== null && !field.refuse?.(draft);
  const { output, errors } = useReckon(calculator, asked ? question(draft) : null);
  return (
    <ReadingField
      {...field}
      onDraft={setDraft}
      judge={() =>
        output && errors.length === 0
          ? { state: stateOf(calculator, output.verdict), words: output.reasons[0] ?? output.verdict }
          : null
      }
    />
  );
}
