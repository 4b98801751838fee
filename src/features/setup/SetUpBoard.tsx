'use client';
import Box from '@mui/material/Box';
import type { SetJob, SettingUp } from '@/core/setup/steps';
import { placeLabel } from '@/core/vocabulary/vocabulary';
import { touchedPlaces } from '@/model/setup/questions';
import type { Bicycle } from '@/model/record';
import { Disclosure } from '@/ui/Disclosure';
import { OpenRow } from '@/ui/OpenRow';
import { RuledList } from '@/ui/RuledList';
import { Section } from '@/ui/Section';

function Rows({ jobs, onOpen }: { jobs: SetJob[]; onOpen(place: string): void }) {
  return (
    <RuledList>
      {jobs.map((job) => (
        <OpenRow key={`${job.place} ${job.job}`} columns="minmax(0, 1fr) auto" onOpen={() => onOpen(job.place)}>
          <Box>
            <Box sx={{ fontWeight: 640, fontSize: '1.05rem' }}>
              {placeLabel(job.place)}: {job.label.toLowerCase()}
            </Box>
            {job.waits !== null && (
              <Box sx={{ fontSize: '0.92rem', color: 'text.secondary' }}>Not yet: {job.waits}</Box>
            )}
          </Box>
          <Box sx={{ whiteSpace: 'nowrap', fontVariantNumeric: 'tabular-nums' }}>
            {job.done} of {job.steps.length}
          </Box>
        </OpenRow>
      ))}
    </RuledList>
  );
}

/** What is set up once it is on, in workable order: first where somebody worked, the rest behind a press. */
export function SetUpBoard({
  bicycle,
  settingUp,
  onOpen,
}: {
  bicycle: Bicycle;
  settingUp: SettingUp;
  onOpen(place: string): void;
}) {
  const touched = touchedPlaces(bicycle);
  const open = settingUp.jobs.filter((job) => job.asked && job.done < job.steps.length);
  const here = open.filter(({ place }) => touched.has(place));
  const rest = open.filter(({ place }) => !touched.has(place));
  return (
    <>
      {here.length > 0 && (
        <Section title="To set up" aside={here.length === 1 ? 'one thing' : `${here.length} things, in this order`}>
          <Rows jobs={here} onOpen={onOpen} />
        </Section>
      )}
      {rest.length > 0 && (
        <Disclosure summary={<>Set up something that nobody touched</>} wide>
          <Rows jobs={rest} onOpen={onOpen} />
        </Disclosure>
      )}
    </>
  );
}
