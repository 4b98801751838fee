'use client';
import Box from '@mui/material/Box';
import type { ProposedJob } from '@/core/decide/jobs';
import { stripBoard, type Board } from '@/core/strip/board';
import type { StripOrder } from '@/core/strip/order';
import type { Assembly } from '@/core/strip/tray';
import type { Choice, Trays } from '@/core/strip/trays';
import { placeLabel } from '@/core/vocabulary/vocabulary';
import { trayFor, partsOff } from '@/model/strip/trays';
import { workByPlace } from '@/model/decide/work';
import { Disclosure } from '@/ui/Disclosure';
import { OpenRow } from '@/ui/OpenRow';
import { RuledList } from '@/ui/RuledList';
import { Section } from '@/ui/Section';
import { StateMark } from '@/ui/StateMark';
import type { StageProps } from '../workshop/WorkshopProvider';
import { MoreAssemblies } from './MoreAssemblies';

function Row({
  bicycle,
  assembly,
  why,
  onOpen,
}: {
  bicycle: StageProps['bicycle'];
  assembly: Assembly;
  why: string[];
  onOpen(): void;
}) {
  const tray = trayFor(bicycle, assembly.place);
  const next = assembly.steps.find((step) => !tray.doneSteps.includes(step.id));
  const off = partsOff(tray).length;
  const wrong = Object.keys(tray.marks).length;
  return (
    <OpenRow columns="minmax(0, 1fr) auto" onOpen={onOpen}>
      <Box>
        <Box sx={{ fontWeight: 640 }}>{assembly.title}</Box>
        <Box sx={{ fontSize: '0.9rem', color: 'text.secondary' }}>
          {next ? `Next: ${next.title.charAt(0).toLowerCase()}${next.title.slice(1)}` : 'Apart'}
          {next && `. Tool: ${next.tool}`}
        </Box>
        {why.map((words) => (
          <Box key={words} sx={{ fontSize: '0.9rem' }}>
            {words}
          </Box>
        ))}
      </Box>
      <Box sx={{ textAlign: 'right', whiteSpace: 'nowrap' }}>
        <Box sx={{ fontWeight: 620 }}>
          {tray.doneSteps.length} of {assembly.steps.length} steps
        </Box>
        {off > 0 && (
          <Box sx={{ fontSize: '0.86rem' }}>
            <StateMark state="off" word={false} size={15} /> {off === 1 ? 'one part' : `${off} parts`}
            {wrong > 0 && `, ${wrong} not right`}
          </Box>
        )}
      </Box>
    </OpenRow>
  );
}

/** All trays of the bicycle: what is under way first, those that the jobs lead to, what waits and why, what is left alone. */
export function TrayBoard({
  bicycle,
  trays,
  order,
  jobs,
  onOpen,
  onChoose,
}: {
  bicycle: StageProps['bicycle'];
  trays: Trays;
  order: StripOrder;
  /** What findings and complaints ask for; null until it is known. */
  jobs: readonly ProposedJob[] | null;
  onOpen(place: string): void;
  onChoose(place: string, choice: Choice): void;
}) {
  if (!jobs) return <p role="status">Reading what was decided…</p>;
  const work = workByPlace(bicycle.jobs, jobs);
  const board = stripBoard(trays, order, {
    wanted: [...work].flatMap(([place, { jobs: kept }]) => (kept.length > 0 ? [place] : [])),
    alone: new Map([...work].flatMap(([place, { leftAlone }]) => (leftAlone ? [[place, leftAlone]] : []))),
    opened: new Set(bicycle.trays.flatMap(({ place, off }) => (Object.keys(off).length > 0 ? [place] : []))),
    out: new Set(bicycle.trays.filter((tray) => partsOff(tray).length > 0).map(({ place }) => place)),
    begun: new Set(bicycle.trays.flatMap(({ place, doneSteps }) => (doneSteps.length > 0 ? [place] : []))),
  });
  const row = ({ place, waits, inTheWay }: Board['lead'][number]) => {
    const leads = [...work].flatMap(([at, { jobs: kept }]) =>
      (trays.trayOf[at] ?? at) === place ? kept.map(({ title }) => title) : [],
    );
    return (
      <Row
        key={place}
        bicycle={bicycle}
        assembly={trays.trays.find((each) => each.place === place)!}
        why={[
          ...leads.map((title) => `For: ${title.charAt(0).toLowerCase()}${title.slice(1)}.`),
          ...(inTheWay && leads.length === 0 ? ['In the way of the others.'] : []),
          ...(waits.length > 0
            ? [`First: ${waits.map((each) => placeLabel(each.place).toLowerCase()).join(', ')}. ${waits[0]!.why}`]
            : []),
        ]}
        onOpen={() => onOpen(place)}
      />
    );
  };
  const now = board.lead.filter(({ waits }) => waits.length === 0);
  const later = board.lead.filter(({ waits }) => waits.length > 0);
  return (
    <>
      {board.underWay.length > 0 && (
        <Section title="Under way">
          <RuledList>{board.underWay.map(row)}</RuledList>
        </Section>
      )}
      {board.lead.length > 0 && (
        <Section
          title={board.led ? 'For the jobs that were kept' : 'Can be done now'}
          aside={`${now.length} of ${board.lead.length} can be done now`}
        >
          <RuledList>{now.map(row)}</RuledList>
        </Section>
      )}
      {later.length > 0 && (
        <Section title="Waits for something else">
          <RuledList>{later.map(row)}</RuledList>
        </Section>
      )}
      {board.apart.length > 0 && (
        <Section title="Was apart, and is together">
          <RuledList>{board.apart.map((place) => row({ place, begun: true, waits: [], inTheWay: false }))}</RuledList>
        </Section>
      )}
      {board.alone.length > 0 && (
        <Disclosure summary={<>Left alone on purpose: {board.alone.length}</>}>
          <RuledList aria-label="Left alone on purpose">
            {board.alone.map(({ place, why }) => (
              <Row
                key={place}
                bicycle={bicycle}
                assembly={trays.trays.find((each) => each.place === place)!}
                why={[why]}
                onOpen={() => onOpen(place)}
              />
            ))}
          </RuledList>
        </Disclosure>
      )}
      {board.rest.length > 0 && (
        <Disclosure summary={<>The other {board.rest.length} assemblies: no job leads there</>}>
          <RuledList aria-label="Other assemblies">{board.rest.map(row)}</RuledList>
        </Disclosure>
      )}
      <MoreAssemblies
        summary="Trays that not every strip needs"
        has={trays.trays.map((each) => each.place)}
        choices={trays.choices}
        onChoose={onChoose}
      />
    </>
  );
}
