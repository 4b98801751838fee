import type { StateId } from '@/core/vocabulary/vocabulary';
import type { Lessons } from '@/model/buy/lessons';
import { appraisalInput } from '@/model/buy/questions';
import { lookOverInput } from '@/model/inspect/questions';
import type { Bicycle } from '@/model/record';
import type { WorkshopSettings } from '@/model/settings/settings';
import type { Summary } from '@/model/summary';
import { askLaw, type Ask } from '../prove/askLaw';

/** What a row of the floor cannot know by itself: the states on its drawing, its ceiling, what the law says. */
export async function drawRow(
  ask: Ask,
  bicycle: Bicycle,
  settings: WorkshopSettings,
  taught: Lessons,
  today: string,
): Promise<NonNullable<Summary['drawn']>> {
  const look = await ask('inspect.lookOver', lookOverInput(bicycle, settings, today));
  const money = bicycle.appraisal.resale.high
    ? await ask('buy.appraise', appraisalInput(bicycle, settings, taught))
    : null;
  // The law comes last.
  const law = look && (await askLaw(ask, bicycle, look, settings, today));
  const marks = (look?.findings ?? [])
    .filter((finding) => finding.state !== 'not-looked-at' && finding.state !== 'fine')
    .map((finding): [string, StateId] => [finding.place, finding.state]);
  return {
    marks,
    ceiling: money?.appraisal?.ceiling ?? null,
    law: law && { ready: law.ready, blocks: law.missing.filter((item) => item.blocks).length },
    on: today,
  };
}
