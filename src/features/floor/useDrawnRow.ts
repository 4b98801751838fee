'use client';
import { useEffect } from 'react';
import type { LookOver } from '@/core/inspect/lookOver';
import type { BuyAppraisal } from '@/core/buy/appraise';
import type { StateId } from '@/core/vocabulary/vocabulary';
import { appraisalInput, lookOverInput } from '@/model/selectors';
import type { Summary } from '@/model/summary';
import { reckoner } from '@/worker/client';
import { useTaught } from '../workshop/useTaught';
import { useSettings, useWorkshop } from '../workshop/WorkshopProvider';

/**
 * Fills in what a row of the floor cannot know by itself: the states on its drawing and its ceiling. Asked once a
 * revision, by the row that is on the screen, and kept in its summary.
 */
export function useDrawnRow(row: Summary): void {
  const workshop = useWorkshop();
  const settings = useSettings();
  const known = row.drawn !== null;
  const taught = useTaught(known ? null : row.id);
  useEffect(() => {
    if (known) return;
    let left = false;
    void (async () => {
      const bicycle = await workshop.open(row.id);
      if (!bicycle || left) return;
      const caller = `floor ${row.id}`;
      const look = await reckoner().reckon(
        `${caller} look`,
        'inspect.lookOver',
        lookOverInput(bicycle, settings, new Date().toISOString().slice(0, 10)),
      );
      const money = bicycle.appraisal.resale.high
        ? await reckoner().reckon(`${caller} money`, 'buy.appraise', appraisalInput(bicycle, settings, taught))
        : null;
      if (left) return;
      const found = look.ok ? (look.output as LookOver).findings : [];
      const marks = found
        .filter((finding) => finding.state !== 'not-looked-at' && finding.state !== 'fine')
        .map((finding): [string, StateId] => [finding.place, finding.state]);
      workshop.noteDrawn(row.id, row.revision, {
        marks,
        ceiling: money?.ok ? ((money.output as BuyAppraisal).appraisal?.ceiling ?? null) : null,
      });
    })().catch(() => undefined);
    return () => {
      left = true;
    };
  }, [known, row.id, row.revision, workshop, settings, taught]);
}
