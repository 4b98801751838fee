import type { PlacedSign } from '@/core/drawing/svg';
import type { LookOver } from '@/core/inspect/lookOver';
import { reckon } from '@/core/reckon';
import { benchLoaders } from '@/features/bench/useBenchSteps';
import { layOverlays, overlaysAt } from '@/features/bike/signs';
import { SUBJECTS } from '@/features/allSubjects';
import { questionOf, type Asks, type Bead, type BenchStep } from '@/features/workshop/declared';
import { threadOf } from '@/features/workshop/useThread';
import { chosenAssemblies } from '@/model/strip/trays';
import type { Trays } from '@/core/strip/trays';
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
      trays: null,
      answer: answerTo(part.asks, bicycle) as null,
      place,
    }),
  );
}

/** What the drawing carries at a stage, as the sheet collects it. */
export async function signsAt(stage: Stage, bicycle: Bicycle, lookOver: LookOver | null = null): Promise<PlacedSign[]> {
  const overlays = await Promise.all(overlaysAt(SUBJECTS, stage).map(({ load }) => load()));
  const answers = overlays.map(({ asks }) => answerTo(asks, bicycle));
  return layOverlays(overlays, answers, bicycle, { settings: USUAL_SETTINGS, lookOver, trays: null, stage });
}

/** The thread of a place, as the page collects it. */
export async function threadAt(place: string, bicycle: Bicycle, lookOver: LookOver | null = null): Promise<Bead[]> {
  const parts = await Promise.all(SUBJECTS.flatMap(({ thread }) => thread?.() ?? []));
  const trays = reckon('strip.trays', { kind: bicycle.kind, chosen: chosenAssemblies(bicycle) });
  const answers = parts.map(({ asks }) => answerTo(asks, bicycle));
  return threadOf(parts, answers, bicycle, {
    settings: USUAL_SETTINGS,
    lookOver,
    trays: trays.status === 'ok' ? (trays.output as Trays) : null,
    place,
  });
}
