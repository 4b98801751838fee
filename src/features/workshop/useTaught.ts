'use client';
import { useMemo } from 'react';
import { gatherLessons, type Lessons } from '@/model/buy/lessons';
import { useWorkshopState } from './WorkshopProvider';

const NOTHING: Lessons = {};

/** What the workshop's other bicycles teach the appraisal of one; null asks for nothing and gathers nothing. */
export function useTaught(except: string | null): Lessons {
  const summaries = useWorkshopState((state) => (except === null ? null : state.summaries));
  return useMemo(
    () =>
      summaries === null
        ? NOTHING
        : gatherLessons(
            Object.values(summaries)
              .filter((row) => row.id !== except)
              .sort((a, b) => (a.createdAt < b.createdAt ? -1 : 1))
              .map((row) => row.taught),
          ),
    [summaries, except],
  );
}
