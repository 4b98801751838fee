'use client';
import Box from '@mui/material/Box';
import { own } from '@/core/own';
import type { SettingUp, SetStep } from '@/core/setup/steps';
import { placeLabel } from '@/core/vocabulary/vocabulary';
import { setupInput } from '@/model/setup/questions';
import { stateColour } from '@/ui/StateMark';
import { CheckAsk } from '../look-over/CheckAsk';
import { useChecks } from '../look-over/useChecks';
import { defineBench, NO_STEP, type BenchStep, type StepProps } from '../workshop/declared';
import { Figures } from './Figures';

/** Steps of a place: what every rebuild asks for, and of the rest what somebody began. */
const jobsAt = (answer: SettingUp | null, place: string) =>
  answer?.jobs.filter((job) => job.place === place && (job.asked || job.done > 0)) ?? [];

const stepOf = (answer: SettingUp, place: string, id: string): SetStep | null =>
  jobsAt(answer, place)
    .flatMap(({ steps }) => steps)
    .find((step) => step.id === id) ?? null;

/** What must not be, and what is read or written down at the step. */
function AskSetUp({ bicycle, send, step, answer, lookOver }: StepProps<SettingUp>) {
  const checks = useChecks(bicycle.kind);
  const asked = stepOf(answer, step.place, step.id);
  const check = checks?.find(({ id }) => id === asked?.check) ?? null;
  return (
    asked && (
      <Box sx={{ display: 'grid', gap: 2 }}>
        {asked.stop && (
          <Box
            role="note"
            sx={{ color: stateColour('unsafe'), fontWeight: 640, fontSize: '1.15rem', maxWidth: '52ch' }}
          >
            {asked.stop}
          </Box>
        )}
        {asked.figures.length > 0 && (
          <Figures bicycle={bicycle} send={send} place={step.place} figures={asked.figures} />
        )}
        {check && (
          <Box role="group" aria-label={check.label}>
            <Box sx={{ fontWeight: 640, mb: 1 }}>{check.label}</Box>
            <CheckAsk bicycle={bicycle} send={send} check={check} lookOver={lookOver} large />
          </Box>
        )}
      </Box>
    )
  );
}

/** The setting-up of a place, one step at a time. */
export const setupBench = defineBench<'setup.steps'>({
  asks: { id: 'setup.steps', of: (bicycle, { settings }) => setupInput(bicycle, settings) },
  of: (_answer, place) => placeLabel(place).toLowerCase(),
  steps: ({ setSteps }, { answer, place }) =>
    jobsAt(answer, place).flatMap(({ steps, waits }) =>
      steps.map((step): BenchStep => ({
        ...NO_STEP,
        id: step.id,
        place,
        title: step.label,
        aside: step.qualified ? `${step.how} For a qualified hand.` : step.how,
        forget: step.forget,
        asksMuch: step.check !== null || step.figures.length > 0,
        // As the record has it: an answer is on its way while the next step is tapped.
        done: own(setSteps, `${place}/${step.id}`) !== undefined,
        waitsFor: waits === null ? null : `Not yet. ${waits}`,
        mayLeave: waits === null ? null : 'Look at the next',
        finish: (hand) => ({ type: 'setUpStep', place, step: step.id, done: hand }),
      })),
    ),
  Ask: AskSetUp,
});
