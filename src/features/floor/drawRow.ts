import type { StateId } from '@/core/vocabulary/vocabulary';
import type { Lessons } from '@/model/buy/lessons';
import { appraisalInput } from '@/model/buy/questions';
import { lookOverInput } from '@/model/inspect/questions';
import type { Bicycle } from '@/model/record';
import type { WorkshopSettings } from '@/model/settings/settings';
import type { Summary } from '@/model/summary';
import { askJobs, askLaw, type Ask } from '../prove/askLaw';

/** What a row of the floor cannot know by itself: the states on its drawing, its limit, what the law says. */
export async function drawRow(
  ask: Ask,
  bicycle: Bicycle,
  settings: WorkshopSettings,
  taught: Lessons,
  today: string,
): Promise<NonNullable<Summary['drawn']>> {
  const look = await ask('inspect.lookOver', lookOverInput(bicycle, settings, today));
  const asked = look && (await askJobs(ask, bicycle, look));
  const money =
    asked && bicycle.appraisal.resale.high
      ? await ask('buy.appraise', appraisalInput(bicycle, settings, taught, { lookOver: look, jobs: asked.jobs }))
      : null;
  // The law comes last.
  const law = asked && (await askLaw(ask, bicycle, look, asked, settings, today));
  const marks = (look?.findings ?? [])
    .filter((finding) => finding.state !== 'not-looked-at' && finding.state !== 'fine')
    .map((finding): [string, StateId] => [finding.place, finding.state]);
  return {
    marks,
    ceiling: money?.limit.most ?? null,
    law: law && { ready: law.ready, blocks: law.missing.filter((item) => item.blocks).length },
    on: today,
  };
}
