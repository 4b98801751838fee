'use client';
import { useMemo } from 'react';
import { NOTHING_LEARNT, type LearntInUse } from '@/core/money/learnt';
import { inUse, taughtInput, usesLessons } from '@/model/books/learnt';
import { useReckon } from './useReckon';
import { useSettings, useWorkshopState } from './WorkshopProvider';

/** What finished bicycles taught, as far as it is used; null while it is being worked out. Where nothing is used, nothing is asked. */
export function useLearnt(): LearntInUse | null {
  const settings = useSettings();
  const used = usesLessons(settings);
  const summaries = useWorkshopState((state) => (used ? state.summaries : null));
  const question = useMemo(() => summaries && taughtInput(summaries), [summaries]);
  const { output } = useReckon('buy.learn', question);
  return useMemo(() => (used ? output && inUse(output, settings) : NOTHING_LEARNT), [used, output, settings]);
}
