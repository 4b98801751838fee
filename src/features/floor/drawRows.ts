import { NOTHING_LEARNT } from '@/core/money/learnt';
import { inUse, taughtInput, usesLessons } from '@/model/books/learnt';
import type { WorkshopSettings } from '@/model/settings/settings';
import type { Summary } from '@/model/summary';
import type { Workshop } from '@/store/workshop';
import { reckoner } from '@/worker/client';
import type { Ask } from '../prove/askLaw';
import { drawRow } from './drawRow';

const ask: Ask = async (id, input) => {
  const answer = await reckoner().reckon(`floor ${id}`, id, input);
  return answer.ok ? answer.output : null;
};

let last: Promise<void> = Promise.resolve();

/**
 * Works out these rows, one after the other and after those asked for before, and keeps nothing of a bicycle but its row.
 * `missed` is told of a row that could not be worked out, so that it may be asked for again.
 */
export function drawRows(
  workshop: Workshop,
  rows: readonly Summary[],
  {
    settings,
    today,
    by,
  }: { settings: WorkshopSettings; today: string; /** What they are worked out by. */ by: string },
  missed: (row: Summary) => void,
): Promise<void> {
  const learning = usesLessons(settings) ? ask('buy.learn', taughtInput(workshop.store.getState().summaries)) : null;
  async function draw(row: Summary): Promise<void> {
    try {
      const bicycle = await workshop.peek(row.id);
      if (!bicycle) return;
      const taught = await learning;
      const learnt = taught ? inUse(taught, settings) : NOTHING_LEARNT;
      workshop.noteDrawn(row.id, row.revision, { ...(await drawRow(ask, bicycle, settings, learnt, today)), by });
    } catch {
      missed(row);
    }
  }
  last = rows.reduce((before, row) => before.then(() => draw(row)), last);
  return last;
}
