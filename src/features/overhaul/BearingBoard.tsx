'use client';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import type { Benches } from '@/core/bearings/bench';
import { openSteps, type BearingBench } from '@/core/bearings/benchTypes';
import type { LookOver } from '@/core/inspect/lookOver';
import type { Choice } from '@/core/strip/trays';
import { placeLabel } from '@/core/vocabulary/vocabulary';
import { workedSteps } from '@/model/bearings/questions';
import type { Bicycle } from '@/model/record';
import { knownBearing } from '@/model/bearings/bearingFor';
import { partsOff } from '@/model/strip/trays';
import { dayOf } from '@/ui/format';
import { workByPlace } from '@/model/decide/work';
import { Disclosure } from '@/ui/Disclosure';
import { OpenRow } from '@/ui/OpenRow';
import { RuledList } from '@/ui/RuledList';
import { Section } from '@/ui/Section';
import { StateMark } from '@/ui/StateMark';
import { MoreAssemblies } from '../strip/MoreAssemblies';
import { useJobs } from '../workshop/useJobs';
import { saveServices } from '../workshop/serviceCalendar';
import { useServices } from './useServices';

function Row({
  bicycle,
  bench,
  dueOn,
  lookOver,
  why,
  onOpen,
}: {
  bicycle: Bicycle;
  lookOver: LookOver | null;
  /** Why it is left alone on purpose. */
  why: string | null;
  bench: BearingBench;
  dueOn: string | null;
  onOpen(): void;
}) {
  const bearing = knownBearing(bicycle, bench.place, lookOver);
  const [next] = openSteps(bench.steps, workedSteps(bearing));
  const begun = bearing.doneSteps.length > 0 || bearing.before !== null || bearing.trials.length > 0;
  const feel = (state: NonNullable<typeof bearing.before>) =>
    [state.feel !== 'unknown' && state.feel.replace('-', ' '), state.play !== 'unknown' && `play ${state.play}`]
      .filter(Boolean)
      .join(', ');
  return (
    <OpenRow columns="34px minmax(0, 1fr) auto" onOpen={onOpen}>
      <StateMark state={bearing.after ? 'bearing-done' : begun ? 'open' : 'not-looked-at'} word={false} size={26} />
      <Box>
        <Box sx={{ fontWeight: 640 }}>{placeLabel(bench.place)}</Box>
        {why && <Box sx={{ fontSize: '0.9rem' }}>{why}</Box>}
        <Box sx={{ fontSize: '0.9rem', color: 'text.secondary' }}>
          {bench.title}
          {!bearing.after && begun && next ? `. Next: ${next.title.charAt(0).toLowerCase()}${next.title.slice(1)}` : ''}
        </Box>
      </Box>
      <Box sx={{ textAlign: 'right', fontSize: '0.9rem', maxWidth: 190 }}>
        {bearing.after ? (
          <>
            <Box sx={{ fontWeight: 620 }}>{feel(bearing.after) || 'done'}</Box>
            {dueOn && <Box sx={{ color: 'text.secondary' }}>again {dayOf(dueOn)}</Box>}
          </>
        ) : bearing.before ? (
          feel(bearing.before)
        ) : bench.leaveWhy ? (
          'left shut while it runs'
        ) : (
          ''
        )}
      </Box>
    </OpenRow>
  );
}

/** The bearings of a bicycle with how each stands. */
export function BearingBoard({
  bicycle,
  benches,
  lookOver,
  onOpen,
  onChoose,
}: {
  bicycle: Bicycle;
  lookOver: LookOver | null;
  benches: Benches;
  onOpen(place: string): void;
  onChoose(place: string, choice: Choice): void;
}) {
  const due = useServices(bicycle);
  const { jobs } = useJobs(bicycle);
  const work = workByPlace(bicycle.jobs, jobs ?? []);
  const begun = ({ place }: BearingBench) =>
    bicycle.bearings.some((each) => each.place === place) ||
    bicycle.trays.some((tray) => tray.place === place && tray.doneSteps.length > 0);
  const wanted = ({ place }: BearingBench) =>
    bicycle.jobs.some((job) => job.place === place && job.decision === 'keep');
  // Open in its tray or on the bench, and not felt since: the hands are at it.
  const isUnderWay = (bench: BearingBench) =>
    begun(bench) &&
    !bicycle.bearings.some((each) => each.place === bench.place && each.after) &&
    (bicycle.trays.some((tray) => tray.place === bench.place && partsOff(tray).length > 0) ||
      bicycle.bearings.some(
        (each) => each.place === bench.place && (each.doneSteps.length > 0 || each.trials.length > 0),
      ));
  const underWay = benches.benches.filter(isUnderWay);
  const led = benches.benches.some(wanted);
  const isLeft = (bench: BearingBench) => !begun(bench) && (work.get(bench.place)?.leftAlone ?? null) !== null;
  const alone = benches.benches.filter(isLeft);
  const lead = benches.benches.filter(
    (bench) => !isUnderWay(bench) && !isLeft(bench) && (!led || wanted(bench) || begun(bench)),
  );
  const rest = benches.benches.filter((bench) => !isUnderWay(bench) && !isLeft(bench) && !lead.includes(bench));
  const row = (bench: BearingBench) => (
    <Row
      key={bench.place}
      bicycle={bicycle}
      bench={bench}
      lookOver={lookOver}
      why={work.get(bench.place)?.leftAlone ?? null}
      dueOn={due.find((each) => each.place === bench.place)?.dueOn ?? null}
      onOpen={() => onOpen(bench.place)}
    />
  );
  const done = benches.benches.filter(({ place }) =>
    bicycle.bearings.some((bearing) => bearing.place === place && bearing.after),
  ).length;
  return (
    <>
      {underWay.length > 0 && (
        <Section title="Under way">
          <RuledList>{underWay.map(row)}</RuledList>
        </Section>
      )}
      <Section
        title={led ? 'For the jobs that were kept' : 'Bearings'}
        aside={`${done} of ${benches.benches.length} done`}
      >
        {jobs ? <RuledList>{lead.map(row)}</RuledList> : <p role="status">Reading what was decided…</p>}
      </Section>
      {alone.length > 0 && (
        <Disclosure summary={<>Left alone on purpose: {alone.length}</>}>
          <RuledList aria-label="Left alone on purpose">{alone.map(row)}</RuledList>
        </Disclosure>
      )}
      {rest.length > 0 && (
        <Disclosure summary={<>The other {rest.length} bearings: no job leads there</>}>
          <RuledList aria-label="Other bearings">{rest.map(row)}</RuledList>
        </Disclosure>
      )}
      {due.length > 0 && (
        <Button
          variant="outlined"
          color="inherit"
          sx={{ mt: 2, minHeight: 48 }}
          onClick={() => void saveServices(bicycle, due)}
        >
          {due.length === 1 ? 'The next service into the calendar' : `${due.length} next services into the calendar`}
        </Button>
      )}
      <MoreAssemblies
        summary="Bearings that not every overhaul opens"
        has={benches.benches.map((bench) => bench.place)}
        choices={benches.choices}
        onChoose={onChoose}
      />
    </>
  );
}
