'use client';
import { useMemo } from 'react';
import type { Taught } from '@/model/selectors';
import { useWorkshopState } from './WorkshopProvider';

/** What the workshop's other bicycles teach the appraisal of one; those that nobody answered anything for teach nothing. */
export function useTaught(except: string): Taught[] {
  const summaries = useWorkshopState((state) => state.summaries);
  return useMemo(
    () =>
      Object.values(summaries)
        .filter((row) => row.id !== except && Object.keys(row.taught.door).length > 0)
        .map((row) => row.taught),
    [summaries, except],
  );
}
