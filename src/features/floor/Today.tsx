'use client';
import Box from '@mui/material/Box';
import Link from 'next/link';
import { useEffect, useState } from 'react';
import { openTimes } from '@/model/plan/sessions';
import type { Summary } from '@/model/summary';
import { clockTime, hours } from '@/ui/format';
import { stateColour } from '@/ui/StateMark';
import { TimeAxis, timeShare, type TimeSpan } from '@/ui/TimeAxis';
import { dayWords, momentWords, spanWords } from '../plan/planWords';
import { taskHref } from '../plan/taskHref';
import { useOpenPlan, type OpenPlan } from '../plan/usePlan';
import { AHEAD_MS, EVENT_PX, SESSIONS_PX, shownEvents, todayEvents, type TodayEvent } from './todayEvents';

const HOUR_MS = 3_600_000;
/** Beyond this a label stands to the left of its mark. */
const FAR = 62;

/** The next day drawn: the hour that it is, and a day from there. */
const spanFrom = (nowMs: number): TimeSpan => {
  const fromMs = Math.floor(nowMs / HOUR_MS) * HOUR_MS;
  return { fromMs, toMs: fromMs + AHEAD_MS };
};

/** So much of the day the words of a session take. */
const WORDS_SHARE = 20;

/** Sessions of the day with the plan's tasks in them. */
function Sessions({ whole, span, nowMs }: { whole: OpenPlan; span: TimeSpan; nowMs: number }) {
  const x = timeShare(span);
  const at = (minute: number) => whole.zeroMs + minute * 60_000;
  const pieces = whole.plan?.plan.map(({ task, fromMin, toMin }) => ({ task, fromMs: at(fromMin), toMs: at(toMin) }));
  const here = openTimes(whole.sessions).filter(({ fromMs, toMs }) => fromMs < span.toMs && toMs > span.fromMs);
  return (
    <Box sx={{ position: 'relative', height: SESSIONS_PX, borderTop: '1px solid', borderColor: 'divider' }}>
      {here.map(({ key, fromMs, toMs }, i) => {
        const inside = pieces?.filter((piece) => piece.fromMs < toMs && piece.toMs > fromMs) ?? [];
        const count = new Set(inside.map(({ task }) => task)).size;
        const far = x(fromMs) > 80;
        // Where the next one is close, the hours on the axis have to do.
        const next = here[i + 1];
        const isClose = next !== undefined && x(next.fromMs) - x(fromMs) < WORDS_SHARE;
        return (
          <Box key={`${key} ${fromMs}`}>
            <Box
              sx={{
                position: 'absolute',
                top: 5,
                height: 16,
                left: `${x(fromMs)}%`,
                width: `${x(toMs) - x(fromMs)}%`,
                bgcolor: 'background.paper',
                border: '1.5px solid',
                borderColor: 'text.primary',
              }}
            />
            {inside.map((piece) => (
              <Box
                key={`${piece.task} ${piece.fromMs}`}
                aria-hidden
                sx={{
                  position: 'absolute',
                  top: 8,
                  height: 10,
                  left: `calc(${x(piece.fromMs)}% + 2px)`,
                  width: `calc(${x(piece.toMs) - x(piece.fromMs)}% - 2px)`,
                  bgcolor: 'primary.main',
                }}
              />
            ))}
            <Box
              sx={{
                position: 'absolute',
                top: 22,
                ...(far ? { right: `${100 - x(toMs)}%` } : { left: `${x(fromMs)}%` }),
                fontSize: '0.8rem',
                whiteSpace: 'nowrap',
                fontVariantNumeric: 'tabular-nums',
                bgcolor: 'background.default',
                pr: 0.5,
              }}
            >
              {[
                !isClose && spanWords(fromMs, toMs),
                whole.plan && (count === 0 ? 'free' : count === 1 ? 'one task' : `${count} tasks`),
              ]
                .filter(Boolean)
                .join(', ')}
            </Box>
          </Box>
        );
      })}
      {here.length === 0 && (
        <Box
          sx={{
            position: 'absolute',
            left: `calc(${x(nowMs)}% + 10px)`,
            top: 10,
            fontSize: '0.88rem',
            color: 'text.secondary',
          }}
        >
          No session in the next 24 hours
        </Box>
      )}
    </Box>
  );
}

/** A soak that runs on to its end, or a delivery on its day. */
function Event({ event, whole, span, nowMs }: { event: TodayEvent; whole: OpenPlan; span: TimeSpan; nowMs: number }) {
  const x = timeShare(span);
  const { kind, atMs, label, bicycle, id } = event;
  const up = kind === 'soak' && atMs <= nowMs;
  const latest = whole.tasks.find((task) => task.id === `${bicycle}/take-out:${id}`)?.latest;
  const end = x(Math.max(atMs, nowMs));
  const last = latest ? x(Date.parse(latest)) : end;
  const far = last > FAR;
  const words =
    kind === 'delivery'
      ? `${label}, due ${dayWords(atMs)}`
      : up
        ? `Time is up since ${clockTime(new Date(atMs))}: ${label}`
        : `Out at ${clockTime(new Date(atMs))}: ${label}`;
  const colour = up ? stateColour('unsafe') : 'text.primary';
  return (
    <Box sx={{ position: 'relative', height: EVENT_PX }}>
      {kind === 'soak' && (
        <Box
          aria-hidden
          sx={{
            position: 'absolute',
            top: 10,
            left: `${x(nowMs)}%`,
            width: `${end - x(nowMs)}%`,
            borderTop: '2px solid',
            borderColor: colour,
          }}
        />
      )}
      {latest && (
        <Box
          aria-hidden
          sx={{
            position: 'absolute',
            top: 10,
            left: `${end}%`,
            width: `${last - end}%`,
            borderTop: '2px dashed',
            borderColor: stateColour('unsafe'),
          }}
        />
      )}
      <Box
        aria-hidden
        sx={{
          position: 'absolute',
          top: 4,
          left: `calc(${end}% - 2px)`,
          width: kind === 'soak' ? 4 : 13,
          height: 14,
          bgcolor: kind === 'soak' ? colour : 'background.paper',
          border: kind === 'soak' ? 0 : '1.5px solid',
          borderColor: 'text.primary',
        }}
      />
      <Box
        sx={{
          position: 'absolute',
          top: 2,
          ...(far
            ? { right: `calc(${100 - end}% + 10px)` }
            : { left: `calc(${last}% + ${kind === 'soak' ? 8 : 18}px)` }),
          maxWidth: `${far ? end - 1 : 98 - last}%`,
          overflow: 'hidden',
          textOverflow: 'ellipsis',
          whiteSpace: 'nowrap',
          fontSize: '0.86rem',
          lineHeight: '18px',
          px: 0.5,
          fontWeight: up ? 660 : 400,
          color: colour,
          bgcolor: 'background.default',
          zIndex: 2,
        }}
      >
        {words}
      </Box>
    </Box>
  );
}

/** What comes first: where there is nobody now, in the next session. */
function Next({ whole, names }: { whole: OpenPlan; names: Readonly<Record<string, string>> }) {
  const { plan, pending, tasks, zeroMs } = whole;
  const first = plan?.plan[0];
  const task = tasks.find(({ id }) => id === first?.task);
  if (!first || !task)
    return (
      <Box sx={{ color: 'text.secondary' }}>
        {pending || !plan ? 'Calculating what comes next…' : 'Nothing is planned.'}
      </Box>
    );
  const fromMs = zeroMs + first.fromMin * 60_000;
  return (
    <Box>
      <b>Next{first.fromMin > 0 && `, ${momentWords(fromMs)}`}:</b>{' '}
      <Box component={Link} href={taskHref(task)} prefetch={false} sx={{ color: 'primary.main', fontWeight: 640 }}>
        {names[task.bicycle]}
      </Box>
      , {task.label}, {hours(task.minutes)}
    </Box>
  );
}

/** Rows wait this long for their figures at the most, before the plan takes the worker. */
const PATIENCE_MS = 3000;

/** Whether the rows have their figures: a long search for a plan would stand in their way. */
function useTurn(rows: readonly Summary[]): boolean {
  const [isLate, setLate] = useState(false);
  useEffect(() => {
    const timer = setTimeout(() => setLate(true), PATIENCE_MS);
    return () => clearTimeout(timer);
  }, []);
  return isLate || rows.every(({ drawn }) => drawn !== null);
}

/** Today as a ruler: sessions with what is planned in them, soaks that run on, deliveries; and what comes first. */
export function Today({ rows, nowMs }: { rows: readonly Summary[]; nowMs: number }) {
  const whole = useOpenPlan(useTurn(rows));
  const span = spanFrom(nowMs);
  const { shown, more } = shownEvents(todayEvents(rows, nowMs));
  const names = Object.fromEntries(rows.map(({ id, name }) => [id, name]));
  return (
    <Box sx={{ mb: 1 }}>
      <TimeAxis span={span} nowMs={nowMs} label="The next 24 hours">
        <Sessions whole={whole} span={span} nowMs={nowMs} />
        {shown.map((event) => (
          <Event key={`${event.bicycle} ${event.id}`} event={event} whole={whole} span={span} nowMs={nowMs} />
        ))}
      </TimeAxis>
      {whole.late.map((task) => (
        <Box key={task.id} role="alert" sx={{ fontWeight: 660, color: stateColour('unsafe') }}>
          {task.label} ({names[task.bicycle]}): out by {momentWords(Date.parse(task.latest!))} at the latest, and no
          session holds that.
        </Box>
      ))}
      <Box sx={{ display: 'flex', columnGap: 3, justifyContent: 'space-between', flexWrap: 'wrap', mt: 0.75 }}>
        <Box sx={{ minWidth: 0 }} aria-busy={whole.pending}>
          <Next whole={whole} names={names} />
        </Box>
        <Box sx={{ color: 'text.secondary' }}>{more > 0 && `${more} more today`}</Box>
      </Box>
    </Box>
  );
}
