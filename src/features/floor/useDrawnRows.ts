'use client';
import { useEffect, useRef } from 'react';
import type { Summary } from '@/model/summary';
import { useToday } from '../workshop/useToday';
import { useSettings, useWorkshop } from '../workshop/WorkshopProvider';

/**
 * Fills in what the rows on the screen cannot know by themselves: asked once a revision and day, one bicycle after the
 * other, and kept in its summary. What asks comes after the list is drawn.
 */
export function useDrawnRows(rows: readonly Summary[]): void {
  const workshop = useWorkshop();
  const settings = useSettings();
  const today = useToday();
  const begun = useRef(new Set<string>());
  useEffect(() => {
    // A proof grows old by the day.
    const key = ({ id, revision }: Summary) => `${id} ${revision} ${today}`;
    const wanted = rows.filter((row) => row.drawn?.on !== today && !begun.current.has(key(row)));
    if (wanted.length === 0) return;
    for (const row of wanted) begun.current.add(key(row));
    void import('./drawRows').then(({ drawRows }) =>
      drawRows(workshop, wanted, { settings, today }, (row) => begun.current.delete(key(row))),
    );
  }, [rows, workshop, settings, today]);
}
