'use client';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import type { BuildOrder, BuildWaits, OnBicycle } from '@/core/rebuild/order';
import { placeLabel } from '@/core/vocabulary/vocabulary';
import { ONLY_ON, type OnlyOn } from '@/model/rebuild/onlyOn';
import { partsOff, trayFor } from '@/model/strip/trays';
import { Disclosure } from '@/ui/Disclosure';
import { OpenRow } from '@/ui/OpenRow';
import { RuledList } from '@/ui/RuledList';
import { Section } from '@/ui/Section';
import { StateMark } from '@/ui/StateMark';
import type { StageProps } from '../workshop/WorkshopProvider';

const isOnlyOn = (assembly: string): assembly is OnlyOn => Object.hasOwn(ONLY_ON, assembly);

/** What a piece waits for, in words. Example: "front hub, the hanger is measured". */
function waitingFor(waits: BuildWaits, titleOf: (piece: OnBicycle) => string): string {
  return [...new Set(waits.for.map((each) => (typeof each === 'string' ? each : titleOf(each))))].join('; ');
}

function Line({ title, words, aside }: { title: string; words: string; aside: React.ReactNode }) {
  return (
    <Box
      sx={{ display: 'grid', gridTemplateColumns: 'minmax(0, 1fr) auto', gap: 2, alignItems: 'center', width: '100%' }}
    >
      <Box>
        <Box sx={{ fontWeight: 640, fontSize: '1.05rem' }}>{title}</Box>
        <Box sx={{ fontSize: '0.92rem', color: 'text.secondary' }}>{words}</Box>
      </Box>
      {aside}
    </Box>
  );
}

/** What hands can put on now, and what the rest waits for. */
export function BuildBoard({
  bicycle,
  send,
  order,
  onOpen,
}: StageProps & { order: BuildOrder; onOpen(place: string): void }) {
  const titles = new Map([...order.now, ...order.waits].map((each) => [each.place, each.title]));
  const titleOf = ({ place }: OnBicycle) => (titles.get(place) ?? placeLabel(place)).toLowerCase();
  const on = Object.entries(ONLY_ON).filter(([piece]) => !bicycle.tookOff[piece]);
  const put = (piece: OnlyOn, off: boolean) => send({ type: 'tookOff', piece, place: ONLY_ON[piece].place, off });
  return (
    <>
      {order.done ? (
        <Box sx={{ fontSize: '1.3rem', fontWeight: 660, mb: 2 }}>
          <StateMark state="fine" word={false} size={26} /> Everything is on it
        </Box>
      ) : (
        <Section title="Goes on now" aside={`${order.now.length} of ${order.now.length + order.waits.length}`}>
          {order.now.length === 0 && <Box>Nothing can go on until something that is waited for is there.</Box>}
          <RuledList>
            {order.now.map(({ assembly, place, title, why }) =>
              isOnlyOn(assembly) ? (
                <Box component="li" key={assembly} sx={{ py: 1.25 }}>
                  <Line
                    title={title}
                    words={why}
                    aside={
                      <Button variant="outlined" sx={{ minHeight: 48 }} onClick={() => put(assembly, false)}>
                        It is on
                      </Button>
                    }
                  />
                </Box>
              ) : (
                <OpenRow key={place} columns="minmax(0, 1fr) auto" onOpen={() => onOpen(place)}>
                  <Line
                    title={title}
                    words={why}
                    aside={
                      <Box sx={{ whiteSpace: 'nowrap' }}>{partsOff(trayFor(bicycle, place)).length} in its tray</Box>
                    }
                  />
                </OpenRow>
              ),
            )}
          </RuledList>
        </Section>
      )}
      {order.waits.length > 0 && (
        <Section title="Waits">
          <RuledList>
            {order.waits.map((waits) => (
              <OpenRow
                key={`${waits.assembly} ${waits.place}`}
                columns="minmax(0, 1fr) auto"
                onOpen={() => onOpen(waits.place)}
              >
                <Box>
                  <Line title={waits.title} words={waits.why} aside={null} />
                  <Box sx={{ fontSize: '0.95rem' }}>
                    For: <b>{waitingFor(waits, titleOf)}</b>
                  </Box>
                </Box>
              </OpenRow>
            ))}
          </RuledList>
        </Section>
      )}
      {on.length > 0 && (
        <Disclosure summary={<>Something else is off</>}>
          <Box sx={{ display: 'flex', gap: 1, flexWrap: 'wrap', py: 1 }}>
            {on.map(([piece, { label }]) => (
              <Button
                key={piece}
                variant="outlined"
                color="inherit"
                sx={{ minHeight: 48 }}
                onClick={() => put(piece as OnlyOn, true)}
              >
                {label}
              </Button>
            ))}
          </Box>
        </Disclosure>
      )}
    </>
  );
}
