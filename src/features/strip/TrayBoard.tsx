'use client';
import Box from '@mui/material/Box';
import type { StripOrder } from '@/core/strip/order';
import type { Assembly } from '@/core/strip/tray';
import type { Trays } from '@/core/strip/trays';
import { placeLabel } from '@/core/vocabulary/vocabulary';
import { trayFor, partsOff } from '@/model/strip/trays';
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
          {tray.doneSteps.length} / {assembly.steps.length}
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

/** All trays of the bicycle: what can be begun now, what waits for another and why, what is apart. */
export function TrayBoard({
  bicycle,
  trays,
  order,
  onOpen,
  onChoose,
}: {
  bicycle: StageProps['bicycle'];
  trays: Trays;
  order: StripOrder;
  onOpen(place: string): void;
  onChoose(place: string, assembly: string): void;
}) {
  const at = (place: string) => trays.trays.find((each) => each.place === place)!;
  const begun = (place: string) => trayFor(bicycle, place).doneSteps.length > 0;
  // What lies open comes first: it is what the hands are at.
  const open = order.open.map(({ place }) => place).sort((a, b) => Number(begun(b)) - Number(begun(a)));
  const placed = new Set([...open, ...order.blocked.map(({ place }) => place)]);
  const apart = trays.trays.filter((each) => !placed.has(each.place));
  return (
    <>
      <Section title="Can be done now" aside={`${open.length} of ${trays.trays.length} assemblies`}>
        <RuledList>
          {open.map((place) => (
            <Row key={place} bicycle={bicycle} assembly={at(place)} why={[]} onOpen={() => onOpen(place)} />
          ))}
        </RuledList>
      </Section>
      {order.blocked.length > 0 && (
        <Section title="Waits for something else">
          <RuledList>
            {order.blocked.map(({ place, by }) => (
              <Row
                key={place}
                bicycle={bicycle}
                assembly={at(place)}
                why={[
                  `First: ${[...new Set(by.map((each) => placeLabel(each.place).toLowerCase()))].join(', ')}. ${by[0]!.why}`,
                ]}
                onOpen={() => onOpen(place)}
              />
            ))}
          </RuledList>
        </Section>
      )}
      {apart.length > 0 && (
        <Section title="Apart">
          <RuledList>
            {apart.map((assembly) => (
              <Row
                key={assembly.place}
                bicycle={bicycle}
                assembly={assembly}
                why={[]}
                onOpen={() => onOpen(assembly.place)}
              />
            ))}
          </RuledList>
        </Section>
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
