'use client';
import Box from '@mui/material/Box';
import Link from 'next/link';
import { apartWords } from '@/model/plan/apart';
import type { Summary } from '@/model/summary';
import { clockTime, hours } from '@/ui/format';
import { eyesOf } from '@/model/prove/secondEyes';
import { stageHref } from '../workshop/stageLink';
import { useHand } from '../workshop/useHand';
import { Today } from './Today';

/** What runs and what waits over the whole floor, in one line each. */
function Standing({ rows, nowMs, onRuler }: { rows: readonly Summary[]; nowMs: number; onRuler: boolean }) {
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
    !onRuler &&
      timers.length > up.length &&
      `Next out: ${timers[up.length]!.label} by ${clockTime(new Date(timers[up.length]!.dueAtMs))}.`,
    running && `On the clock: ${running.name}.`,
    loose.length > 0 && `Loosely assembled: ${loose.map((row) => row.name).join(', ')}.`,
    apartWords(rows),
    waits.length > 0 && `${waits.length === 1 ? 'One delivery' : `${waits.length} deliveries`} on order.`,
    short && `Shortest job: ${short.name}, ${hours(short.minutes)}.`,
  ].filter((words): words is string => typeof words === 'string');
  if (lines.length === 0) return null;
  return (
    <Box
      component="ul"
      aria-label="What runs and what waits"
      sx={{ p: 0, m: 0, mb: 1.5, listStyle: 'none', display: 'flex', flexWrap: 'wrap', columnGap: 3 }}
    >
      {lines.map((words) => (
        <li key={words}>{words}</li>
      ))}
    </Box>
  );
}

/** What the law wants a second pair of eyes for and others signed: the list that waits for whoever is at the bench. */
function ForYourEyes({ rows }: { rows: readonly Summary[] }) {
  const { name, people } = useHand();
  const wanted = rows.flatMap(({ id, name: bicycle, drawn, sold }) =>
    sold ? [] : eyesOf(drawn?.law?.eyes ?? [], name).map((each) => ({ id, bicycle, ...each })),
  );
  if (wanted.length === 0) return null;
  return (
    <Box
      component="ul"
      aria-label="For your eyes"
      sx={{ p: 0, m: 0, mb: 1.5, listStyle: 'none', display: 'flex', flexWrap: 'wrap', columnGap: 3 }}
    >
      {wanted.map(({ id, bicycle, by, stage, count }) => (
        <Box component="li" key={`${id} ${by} ${stage}`}>
          <Box
            component={Link}
            href={stageHref(id, stage)}
            prefetch={false}
            sx={{ color: 'primary.main', fontWeight: 640, display: 'inline-block', py: 1 }}
          >
            {people.length > 1 ? `${name}, look and sign too` : 'Another person signs too'}: {bicycle},{' '}
            {count === 1 ? 'one place' : `${count} places`} that {by || 'somebody'} signed
          </Box>
        </Box>
      ))}
    </Box>
  );
}

/** What stands above the list: the day as a ruler, and what runs and what waits. */
export function Above({ rows, nowMs, hasRuler }: { rows: readonly Summary[]; nowMs: number; hasRuler: boolean }) {
  return (
    <>
      {hasRuler && <Today rows={rows} nowMs={nowMs} />}
      <ForYourEyes rows={rows} />
      <Standing rows={rows} nowMs={nowMs} onRuler={hasRuler} />
    </>
  );
}
