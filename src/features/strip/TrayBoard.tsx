'use client';
import ChevronRight from '@mui/icons-material/ChevronRight';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import type { StripOrder } from '@/core/strip/order';
import type { Assembly } from '@/core/strip/tray';
import type { Trays } from '@/core/strip/trays';
import { placeLabel } from '@/core/vocabulary/vocabulary';
import { trayFor } from '@/model/selectors';
import { Disclosure } from '@/ui/Disclosure';
import { RuledList } from '@/ui/RuledList';
import { Section } from '@/ui/Section';
import { StateMark } from '@/ui/StateMark';
import type { StageProps } from '../workshop/WorkshopProvider';

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
  const off = tray.order.filter((part) => !tray.backIn.includes(part)).length;
  const wrong = Object.keys(tray.marks).length;
  return (
    <Box component="li">
      <Box
        component="button"
        onClick={onOpen}
        sx={{
          all: 'unset',
          cursor: 'pointer',
          boxSizing: 'border-box',
          width: '100%',
          minHeight: 56,
          py: 1,
          display: 'grid',
          gridTemplateColumns: 'minmax(0, 1fr) auto 28px',
          gap: 2,
          alignItems: 'center',
          '&:hover': { bgcolor: 'sheet.soft' },
          '&:focus-visible': { outline: '3px solid', outlineColor: 'primary.main', outlineOffset: '-3px' },
        }}
      >
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
        <ChevronRight aria-hidden />
      </Box>
    </Box>
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
  const has = new Set(trays.trays.map((each) => each.place));
  // What is not part of every strip is there to be asked for.
  const more = Object.entries(trays.choices).flatMap(([place, here]) =>
    has.has(place) ? [] : here.map((each) => ({ place, ...each })),
  );
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
      {more.length > 0 && (
        <Disclosure summary={<>Trays that not every strip needs</>}>
          <Box sx={{ display: 'flex', gap: 1, flexWrap: 'wrap', py: 1 }}>
            {more.map(({ place, id, title }) => (
              <Button
                key={`${place} ${id}`}
                variant="outlined"
                color="inherit"
                sx={{ minHeight: 56 }}
                onClick={() => onChoose(place, id)}
              >
                {title} ({placeLabel(place).toLowerCase()})
              </Button>
            ))}
          </Box>
        </Disclosure>
      )}
    </>
  );
}
