'use client';
import { useEffect } from 'react';
import type { Summary } from '@/model/summary';
import type { Ask } from '../prove/askLaw';
import { useTaught } from '../workshop/useTaught';
import { useToday } from '../workshop/useToday';
import { useSettings, useWorkshop } from '../workshop/WorkshopProvider';

/**
 * Fills in what a row of the floor cannot know by itself. Asked once a revision, by the row that is on the screen, and kept
 * in its summary.
 */
export function useDrawnRow(row: Summary): void {
  const workshop = useWorkshop();
  const settings = useSettings();
  const today = useToday();
  // A proof grows old by the day.
  const known = row.drawn !== null && row.drawn.on === today;
  const taught = useTaught(known ? null : row.id);
  useEffect(() => {
    if (known) return;
    let left = false;
    void (async () => {
      const bicycle = await workshop.open(row.id);
      if (!bicycle || left) return;
      // What asks comes after the list is drawn.
      const [{ drawRow }, { reckoner }] = await Promise.all([import('./drawRow'), import('@/worker/client')]);
      const ask: Ask = async (id, input) => {
        const answer = await reckoner().reckon(`floor ${row.id} ${id}`, id, input);
        return answer.ok ? answer.output : null;
      };
      const drawn = await drawRow(ask, bicycle, settings, taught, today);
      if (!left) workshop.noteDrawn(row.id, row.revision, drawn);
    })().catch(() => undefined);
    return () => {
      left = true;
    };
  }, [known, row.id, row.revision, workshop, settings, taught, today]);
}
