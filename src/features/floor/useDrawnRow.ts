'use client';
import { useEffect } from 'react';
import type { LookOver } from '@/core/inspect/lookOver';
import type { BuyAppraisal } from '@/core/buy/appraise';
import type { StateId } from '@/core/vocabulary/vocabulary';
import { appraisalInput, lookOverInput } from '@/model/selectors';
import type { Summary } from '@/model/summary';
import { reckoner } from '@/worker/client';
import type { Ask } from '../prove/askLaw';
import { useTaught } from '../workshop/useTaught';
import { useToday } from '../workshop/useToday';
import { useSettings, useWorkshop } from '../workshop/WorkshopProvider';

/**
 * Fills in what a row of the floor cannot know by itself: the states on its drawing, its ceiling, what the law says. Asked once a
 * revision, by the row that is on the screen, and kept in its summary.
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
      const caller = `floor ${row.id}`;
      const ask: Ask = async (id, input) => {
        const answer = await reckoner().reckon(`${caller} ${id}`, id, input);
        return answer.ok ? (answer.output as never) : null;
      };
      const look = await ask<LookOver>('inspect.lookOver', lookOverInput(bicycle, settings, today));
      const money = bicycle.appraisal.resale.high
        ? await ask<BuyAppraisal>('buy.appraise', appraisalInput(bicycle, settings, taught))
        : null;
      // The law comes after the list is drawn.
      const { askLaw } = await import('../prove/askLaw');
      const law = look && (await askLaw(ask, bicycle, look, settings, today));
      if (left) return;
      const found = look?.findings ?? [];
      const marks = found
        .filter((finding) => finding.state !== 'not-looked-at' && finding.state !== 'fine')
        .map((finding): [string, StateId] => [finding.place, finding.state]);
      workshop.noteDrawn(row.id, row.revision, {
        marks,
        ceiling: money?.appraisal?.ceiling ?? null,
        law: law && { ready: law.ready, blocks: law.missing.filter((item) => item.blocks).length },
        on: today,
      });
    })().catch(() => undefined);
    return () => {
      left = true;
    };
  }, [known, row.id, row.revision, workshop, settings, taught, today]);
}
