'use client';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import type { LookOver } from '@/core/inspect/lookOver';
import type { SetJob, SettingUp } from '@/core/setup/steps';
import { Disclosure } from '@/ui/Disclosure';
import { RuledList } from '@/ui/RuledList';
import { Section } from '@/ui/Section';
import { stateColour } from '@/ui/StateMark';
import { useChecks } from '../look-over/useChecks';
import { benchHref } from '../workshop/benchHref';
import type { StageProps } from '../workshop/WorkshopProvider';
import { SetStepRow } from './SetStepRow';

const counted = ({ done, steps }: SetJob) => `${done} of ${steps.length}`;

function Steps({ bicycle, send, job, lookOver }: StageProps & { job: SetJob; lookOver: LookOver | null }) {
  const checks = useChecks(bicycle.kind);
  return (
    <RuledList>
      {job.steps.map((step) => (
        <SetStepRow
          key={step.id}
          bicycle={bicycle}
          send={send}
          place={job.place}
          step={step}
          check={checks?.find(({ id }) => id === step.check) ?? null}
          lookOver={lookOver}
        />
      ))}
    </RuledList>
  );
}

/** How a place is set up: what every rebuild asks first, in its order, then what is asked now and then. Whatever is ticked asks for its proof again. */
export function SetUp({
  bicycle,
  send,
  place,
  settingUp,
  lookOver,
}: StageProps & { place: string; settingUp: SettingUp; lookOver: LookOver | null }) {
  const here = settingUp.jobs.filter((job) => job.place === place);
  const asked = here.filter((job) => job.asked);
  const others = here.filter((job) => !job.asked);
  if (here.length === 0) return null;
  return (
    <>
      {asked.map((job, i) => (
        <Section
          key={job.job}
          title={job.label}
          aside={
            <Box sx={{ display: 'flex', gap: 2, alignItems: 'center' }}>
              {counted(job)} done
              {i === 0 && (
                <Button size="small" color="inherit" href={benchHref(bicycle.id, 'set-up', place)}>
                  At the bench
                </Button>
              )}
            </Box>
          }
        >
          {job.waits !== null && (
            <Box role="note" sx={{ borderLeft: '3px solid', borderColor: stateColour('service'), pl: 1.5, mb: 1 }}>
              <b>Not yet.</b> {job.waits}
            </Box>
          )}
          <Steps bicycle={bicycle} send={send} job={job} lookOver={lookOver} />
        </Section>
      ))}
      {others.map((job) => (
        <Disclosure
          key={job.job}
          summary={
            <>
              {job.label}, {counted(job)}
            </>
          }
          wide
        >
          <Steps bicycle={bicycle} send={send} job={job} lookOver={lookOver} />
        </Disclosure>
      ))}
    </>
  );
}
