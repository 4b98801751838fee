import type { PlacedSign } from '@/core/drawing/svg';
import type { LookOver } from '@/core/inspect/lookOver';
import { reckon } from '@/core/reckon';
import { benchLoaders } from '@/features/bench/useBenchSteps';
import { layOverlays, overlaysAt } from '@/features/bike/signs';
import { SUBJECTS } from '@/features/allSubjects';
import { questionOf, type Asks, type BenchStep } from '@/features/workshop/declared';
import type { Bicycle } from '@/model/record';
import { USUAL_SETTINGS } from '@/model/settings/usual';
import type { Stage } from '@/model/stages';
import type { BenchTask } from '@/model/work/part';

const around = { settings: USUAL_SETTINGS, today: '2026-11-25' };

/** What a calculator says to a subject's question; it is a fault of the test where it says nothing. */
function answerTo(asks: Asks<never> | undefined, bicycle: Bicycle): unknown {
  const question = questionOf(asks, bicycle, around);
  if (!question) return null;
  const result = reckon(question.id, question.input);
  if (result.status !== 'ok') throw new Error(JSON.stringify(result));
  return result.output;
}

/** The steps of a task, as the bench collects them. */
export async function stepsOf(
  task: BenchTask,
  bicycle: Bicycle,
  place = 'hub.front',
  lookOver: LookOver | null = null,
): Promise<BenchStep[]> {
  const parts = await Promise.all(benchLoaders(SUBJECTS, task).map((load) => load()));
  return parts.flatMap((part) =>
    part.steps(bicycle, {
      settings: USUAL_SETTINGS,
      lookOver,
      answer: answerTo(part.asks, bicycle) as null,
      place,
    }),
  );
}

/** What the drawing carries at a stage, as the sheet collects it. */
export async function signsAt(stage: Stage, bicycle: Bicycle, lookOver: LookOver | null = null): Promise<PlacedSign[]> {
  const overlays = await Promise.all(overlaysAt(SUBJECTS, stage).map(({ load }) => load()));
  const answers = overlays.map(({ asks }) => answerTo(asks, bicycle));
  return layOverlays(overlays, answers, bicycle, { settings: USUAL_SETTINGS, lookOver, stage });
}
