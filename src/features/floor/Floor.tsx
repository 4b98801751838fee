'use client';
import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import dynamic from 'next/dynamic';
import { useCallback, useDeferredValue, useMemo, useRef, useState } from 'react';
import { floorRows, type FloorOrder } from '@/model/summary';
import { nowIso } from '@/store/now';
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

// What stands above the list comes after it, into a room that is kept for it.
const Above = dynamic(() => import('./Above').then((module) => module.Above), { ssr: false });
const LongList = dynamic(() => import('./LongList').then((module) => module.LongList), { ssr: false });

/** From so many on only those on the screen are drawn. */
const MANY = 24;
/** A line of what runs and what waits. */
const STANDING_PX = 40;
/** The day as a ruler, without what runs. */
const RULER_PX = 108;

/** The first screen: what can be done now, bicycle by bicycle. */
export function Floor() {
  const summaries = useWorkshopState((state) => state.summaries);
  const status = useWorkshopState((state) => state.status);
  const workshop = useWorkshop();
  const { name, currency, letterKeys, week, ownSessions } = useSettings();
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
  const here = useMemo(() => all.filter((row) => row.archivedAt === null), [all]);
  const timers = here.reduce((sum, row) => sum + row.timers.length, 0);
  const hasRuler = timers > 0 || (week.length + ownSessions.length > 0 && here.some((row) => row.open.length > 0));
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
                alignItems: 'end',
                gap: 2,
                flexWrap: 'wrap',
                mb: 1.5,
              }}
            >
              <Box>
                <Typography variant="h1">On the floor</Typography>
                <Typography sx={{ color: 'text.secondary' }}>
                  {name}, {here.length === 1 ? 'one bicycle' : `${here.length} bicycles`}
                  {away > 0 && `, ${away} put away`}
                </Typography>
              </Box>
              <Box sx={{ display: 'flex', gap: 1.5, flexWrap: 'wrap', alignItems: 'end' }}>
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
                <AddBicycle label="Add a bicycle" open={adding} onOpen={setAdding} />
              </Box>
            </Box>
            <Box sx={{ minHeight: (hasRuler ? RULER_PX + Math.min(3, timers) * 22 : 0) + STANDING_PX }}>
              {here.length > 0 && <Above rows={here} nowMs={minute * 60_000} hasRuler={hasRuler} />}
            </Box>
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
