'use client';
import { useState } from 'react';
import { stateOf } from '@/core/vocabulary/verdicts';
import { ReadingField, type ReadingFieldProps } from '@/ui/ReadingField';
import { useReckon } from './useReckon';

interface Judged {
  verdict: string;
  reasons: string[];
}

/** A reading field that shows the limit and the verdict of a calculator while the value is being typed. */
export function JudgedField({
  calculator,
  question,
  ...field
}: Omit<ReadingFieldProps, 'judge' | 'onDraft'> & {
  calculator: string;
  /** The calculator's question for a value that is being typed. */
  question(value: number): unknown;
}) {
  const [draft, setDraft] = useState<number | null>(null);
  const asked = draft !== null && !field.refuse?.(draft);
  const { output, errors } = useReckon<Judged>(calculator, asked ? question(draft) : null);
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
