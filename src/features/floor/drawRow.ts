import type { StateId } from '@/core/vocabulary/vocabulary';
import { learntMinutes, type LearntInUse } from '@/core/money/learnt';
import { appraisalInput } from '@/model/buy/questions';
import { lookOverInput } from '@/model/inspect/questions';
import { secondEyesOf } from '@/model/prove/secondEyes';
import type { Bicycle } from '@/model/record';
import type { WorkshopSettings } from '@/model/settings/settings';
import type { Summary } from '@/model/summary';
import { askJobs, askLaw, type Ask } from '../prove/askLaw';

/** What a row of the floor cannot know by itself: the states on its drawing, its limit, what the law says. */
export async function drawRow(
  ask: Ask,
  bicycle: Bicycle,
  settings: WorkshopSettings,
  learnt: LearntInUse,
  today: string,
): Promise<Omit<NonNullable<Summary['drawn']>, 'by'>> {
  const look = await ask('inspect.lookOver', lookOverInput(bicycle, settings, today));
  const asked = look && (await askJobs(ask, bicycle, look));
  const money =
    asked && bicycle.appraisal.resale.high
      ? await ask('buy.appraise', appraisalInput(bicycle, settings, learnt, { lookOver: look, jobs: asked.jobs }))
      : null;
  // The law comes last.
  const law = asked && (await askLaw(ask, bicycle, look, asked, settings, today));
  const marks = (look?.findings ?? [])
    .filter((finding) => finding.state !== 'not-looked-at' && finding.state !== 'fine')
    .map((finding): [string, StateId] => [finding.place, finding.state]);
  const undone = bicycle.jobs
    .filter(({ decision, done }) => decision === 'keep' && !done)
    .map(({ minutes, place }) => learntMinutes(minutes, place, learnt).likely);
  return {
    marks,
    nextMinutes: undone.length > 0 ? Math.min(...undone) : null,
    ceiling: money?.limit.most ?? null,
    law: law && {
      ready: law.ready,
      blocks: law.missing.filter((item) => item.blocks).length,
      eyes: secondEyesOf(bicycle, law),
    },
  };
}
