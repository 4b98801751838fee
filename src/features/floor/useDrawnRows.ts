'use client';
import { useEffect, useRef } from 'react';
import { workedOutBy } from '@/model/books/workedOutBy';
import type { Summary } from '@/model/summary';
import { useToday } from '../workshop/useToday';
import { useSettings, useWorkshop } from '../workshop/WorkshopProvider';

/**
 * Fills in what the rows on the screen cannot know by themselves: asked once a revision, day, set of house rules and lessons, one bicycle
 * after the other, and kept in its summary. What asks comes after the list is drawn.
 */
export function useDrawnRows(rows: readonly Summary[]): void {
  const workshop = useWorkshop();
  const settings = useSettings();
  const today = useToday();
  const begun = useRef(new Set<string>());
  useEffect(() => {
    // A proof grows old by the day.
    const by = workedOutBy(settings, workshop.store.getState().summaries, today);
    const key = ({ id, revision }: Summary) => `${id} ${revision} ${by}`;
    const wanted = rows.filter((row) => row.drawn?.by !== by && !begun.current.has(key(row)));
    if (wanted.length === 0) return;
    for (const row of wanted) begun.current.add(key(row));
    void import('./drawRows').then(({ drawRows }) =>
      drawRows(workshop, wanted, { settings, today, by }, (row) => begun.current.delete(key(row))),
    );
  }, [rows, workshop, settings, today]);
}
