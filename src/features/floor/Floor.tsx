'use client';
import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import dynamic from 'next/dynamic';
import { useCallback, useDeferredValue, useMemo, useRef, useState } from 'react';
import { floorRows, type FloorOrder, type Summary } from '@/model/summary';
import { nowIso } from '@/store/now';
import { clockTime, hours } from '@/ui/format';
import { useKeys } from '@/ui/keys/useKeys';
import { TopBar } from '../top-bar/TopBar';
import { useNow } from '../workshop/useNow';
import { useSettings, useWorkshop, useWorkshopName, useWorkshopState } from '../workshop/WorkshopProvider';
import { AddBicycle } from './AddBicycle';
import { ShortList } from './ShortList';

// A floor with few bicycles needs no tools; they come after the list is drawn.
// Seen once, on the first day.
const EmptyFloor = dynamic(() => import('./EmptyFloor').then((module) => module.EmptyFloor), { ssr: false });
const FloorTools = dynamic(() => import('./FloorTools').then((module) => module.FloorTools), { ssr: false });

const LongList = dynamic(() => import('./LongList').then((module) => module.LongList), { ssr: false });

/** From so many on only those on the screen are drawn. */
const MANY = 24;

/** What runs and what waits over the whole floor, in one line each. */
function Standing({ rows, nowMs }: { rows: Summary[]; nowMs: number }) {
  const timers = rows.flatMap((row) => row.timers).sort((a, b) => a.dueAtMs - b.dueAtMs);
  const up = timers.filter((timer) => timer.dueAtMs <= nowMs);
  const loose = rows.filter((row) => row.loose.length > 0);
  const waits = rows.flatMap((row) => row.waits);
  const running = rows.find((row) => row.clockSince !== null);
  const short = rows
    .flatMap(({ name, bought, sold, wentOut, drawn }) =>
      bought && !sold && wentOut === null && drawn?.nextMinutes != null ? [{ name, minutes: drawn.nextMinutes }] : [],
    )
    .sort((a, b) => a.minutes - b.minutes)[0];
  const lines = [
    up.length > 0 && `Time is up: ${up.map((timer) => timer.label).join(', ')}.`,
    timers.length > up.length &&
      `Next out: ${timers[up.length]!.label} by ${clockTime(new Date(timers[up.length]!.dueAtMs))}.`,
    running && `On the clock: ${running.name}.`,
    loose.length > 0 && `Loosely assembled: ${loose.map((row) => row.name).join(', ')}.`,
    waits.length > 0 && `${waits.length === 1 ? 'One delivery is' : `${waits.length} deliveries are`} waited for.`,
    short && `Shortest job: ${short.name}, ${hours(short.minutes)}.`,
  ].filter((words): words is string => typeof words === 'string');
  if (lines.length === 0) return null;
  return (
    <Box
      component="ul"
      aria-label="What runs and what waits"
      sx={{ p: 0, m: 0, listStyle: 'none', fontSize: '1.02rem', '& li': { py: 0.15 } }}
    >
      {lines.map((words) => (
        <li key={words}>{words}</li>
      ))}
    </Box>
  );
}

/** The first screen: what can be done now, bicycle by bicycle. */
export function Floor() {
  const summaries = useWorkshopState((state) => state.summaries);
  const status = useWorkshopState((state) => state.status);
  const workshop = useWorkshop();
  const { name, currency, letterKeys } = useSettings();
  const demo = useWorkshopName() === 'demo';
  const now = useNow(20_000);
  const minute = Math.floor(now.getTime() / 60_000);
  const [search, setSearch] = useState('');
  const [order, setOrder] = useState<FloorOrder>('next');
  const [archived, setArchived] = useState(false);
  const [adding, setAdding] = useState(false);
  const field = useRef<HTMLInputElement>(null);
  const asked = useDeferredValue(search);
  const all = useMemo(() => Object.values(summaries), [summaries]);
  const away = all.filter((row) => row.archivedAt !== null).length;
  const rows = useMemo(
    () => floorRows(all, { search: asked, order, archived, nowMs: minute * 60_000 }),
    [all, asked, order, archived, minute],
  );
  useKeys(['floor'], { search: () => field.current?.focus(), add: () => setAdding(true) }, letterKeys);
  const archive = useCallback(
    (id: string, put: boolean) => {
      void workshop.open(id).then((bicycle) => {
        if (!bicycle) return;
        workshop.send(id, { type: 'archive', at: put ? nowIso() : null });
        workshop.say(put ? `${bicycle.name} is put away.` : `${bicycle.name} is back on the floor.`);
      });
    },
    [workshop],
  );
  const List = rows.length > MANY ? LongList : ShortList;
  return (
    <>
      <TopBar />
      <Box component="main" sx={{ px: { xs: 2, md: 5 }, py: { xs: 2, md: 4 }, maxWidth: 1280, mx: 'auto' }}>
        {status === 'ready' && all.length === 0 ? (
          <EmptyFloor />
        ) : (
          <>
            <Box
              sx={{
                display: 'flex',
                justifyContent: 'space-between',
                alignItems: 'start',
                gap: 3,
                flexWrap: 'wrap',
                mb: 2,
              }}
            >
              <Box>
                <Typography variant="h1">On the floor</Typography>
                <Typography sx={{ color: 'text.secondary', mb: 1.5 }}>
                  {name}, {all.length - away === 1 ? 'one bicycle' : `${all.length - away} bicycles`}
                  {away > 0 && `, ${away} put away`}
                </Typography>
                <Standing rows={all.filter((row) => row.archivedAt === null)} nowMs={now.getTime()} />
              </Box>
              <AddBicycle label="Add a bicycle" open={adding} onOpen={setAdding} />
            </Box>
            {(all.length > 3 || away > 0) && (
              <FloorTools
                search={search}
                onSearch={setSearch}
                order={order}
                onOrder={setOrder}
                away={away}
                archived={archived}
                onArchived={setArchived}
                field={field}
              />
            )}
            <List
              label={archived ? 'Bicycles put away' : 'Bicycles on the floor'}
              rows={rows}
              minute={minute}
              currency={currency}
              onArchive={archive}
            />
            {rows.length === 0 && status === 'ready' && (
              <Typography sx={{ py: 4 }} role="status">
                {search
                  ? `No bicycle here answers to “${search}”.`
                  : archived
                    ? 'Nothing is put away.'
                    : 'Everything is put away.'}
              </Typography>
            )}
          </>
        )}
        {demo && (
          <Typography sx={{ mt: 3, color: 'text.secondary', fontSize: '0.9rem' }}>
            This is a made-up workshop with a database of its own.{' '}
            <Box component="a" href="/?workshop=own" sx={{ color: 'inherit' }}>
              Go to your own workshop
            </Box>
            .
          </Typography>
        )}
      </Box>
    </>
  );
}
