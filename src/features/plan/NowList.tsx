'use client';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Slider from '@mui/material/Slider';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import type { Command } from '@/model/commands';
import { newId } from '@/store/browser';
import { nowIso } from '@/store/now';
import { hours } from '@/ui/format';
import { stateColour } from '@/ui/StateMark';
import { ReadingField } from '@/ui/ReadingField';
import { RuledList } from '@/ui/RuledList';
import { Section } from '@/ui/Section';
import { useHand } from '../workshop/useHand';
import { useWorkshop, useWorkshopState } from '../workshop/WorkshopProvider';
import { momentWords } from './planWords';
import { stageOf, taskHref } from './taskHref';
import type { OpenTask, WholePlan } from './usePlan';

const MOST_NOW = 3;
const MOST_LEFT_OUT = 3;

/** The job of a task, as its bicycle knows it. */
const jobOf = ({ id, bicycle }: Pick<OpenTask, 'id' | 'bicycle'>): string => id.slice(bicycle.length + '/job:'.length);

/** Why a task that could be begun is not for now. */
function whyNot(task: OpenTask, have: number, zeroMs: number, startMin: number | null): string {
  if (task.notBefore !== null && Date.parse(task.notBefore) > zeroMs)
    return `from ${momentWords(Date.parse(task.notBefore))} on`;
  if (!task.splittable && task.minutes > have) return `${hours(task.minutes)}: it cannot be closed in ${hours(have)}`;
  return startMin === null
    ? 'no session holds it'
    : `other work comes first: ${momentWords(zeroMs + startMin * 60_000)}`;
}

/** What to do now, with the minutes that somebody has: three things at most, where to stop, and what is left alone and why. */
export function NowList({ whole, have, onHave }: { whole: WholePlan; have: number; onHave(minutes: number): void }) {
  const { zeroMs, tasks, plan, late, pending } = whole;
  const workshop = useWorkshop();
  const router = useRouter();
  const [asking, setAsking] = useState<string | null>(null);
  const summaries = useWorkshopState((state) => state.summaries);
  const of = new Map(tasks.map((task) => [task.id, task]));
  const { id: me } = useHand();
  const mine = whole.hands.indexOf(me) + 1;
  const pieces = plan?.plan.filter(({ fromMin, hand }) => fromMin < have && (hand ?? mine) === mine) ?? [];
  const others = new Set(
    plan?.plan.flatMap(({ fromMin, hand, task }) => (fromMin < have && hand && hand !== mine ? [task] : [])),
  );
  const now = pieces.slice(0, MOST_NOW).flatMap(({ task, fromMin, toMin }) => {
    const found = of.get(task);
    return found ? [{ task: found, fromMin, minutes: toMin - fromMin }] : [];
  });
  const inNow = new Set(pieces.map(({ task }) => task));
  const open = new Set(tasks.map(({ id }) => id));
  const startOf = new Map(plan?.plan.toReversed().map(({ task, fromMin }) => [task, fromMin]));
  const leftOut = tasks.filter(
    ({ id, after }) => !inNow.has(id) && !others.has(id) && after.every((before) => !open.has(before)),
  );
  // A bicycle of the floor is opened before anything is changed on it.
  const tell = (bicycle: string, command: Command) =>
    void workshop.open(bicycle).then((opened) => opened && workshop.send(bicycle, command));
  const start = (task: OpenTask) => {
    const job = task.kind === 'job' ? jobOf(task) : undefined;
    tell(task.bicycle, {
      type: 'startClock',
      clock: newId(),
      at: nowIso(),
      stage: stageOf(task.kind),
      place: task.place,
      ...(job && { job }),
    });
    router.push(taskHref(task));
  };
  const finish = (task: OpenTask, minutes: number | null) => {
    const job = jobOf(task);
    if (minutes !== null)
      tell(task.bicycle, {
        type: 'putMinutes',
        entry: { id: newId(), stage: stageOf(task.kind), minutes, at: nowIso(), place: task.place, job },
      });
    tell(task.bicycle, { type: 'finishJob', job, done: true });
    setAsking(null);
  };
  return (
    <Section title="Now" aside={pending ? 'calculating…' : undefined}>
      <Box sx={{ display: 'flex', gap: 3, alignItems: 'center', flexWrap: 'wrap' }}>
        <Box
          sx={{
            fontSize: '2.4rem',
            fontWeight: 680,
            letterSpacing: '-0.02em',
            minWidth: 170,
            fontVariantNumeric: 'tabular-nums',
          }}
        >
          {hours(have)}
        </Box>
        <Slider
          aria-label="How long have you"
          min={10}
          max={240}
          step={5}
          value={have}
          getAriaValueText={hours}
          onChange={(_event, value) => onHave(value)}
          sx={{ width: { xs: '100%', sm: 320 }, mx: 1 }}
        />
      </Box>
      {late.map((task) => (
        <Box key={task.id} role="alert" sx={{ fontWeight: 660, color: stateColour('unsafe'), my: 1 }}>
          {task.label} ({summaries[task.bicycle]?.name}): out by {momentWords(Date.parse(task.latest!))} at the latest,
          and no session holds that.
        </Box>
      ))}
      {now.length === 0 ? (
        <Box sx={{ my: 1.5 }}>
          {pending
            ? 'Calculating…'
            : tasks.length === 0
              ? 'Nothing is open: no job is kept, nothing soaks, nothing lies apart.'
              : 'Nothing fits into that. It is time for small things: labels, tidying, cutting cables.'}
        </Box>
      ) : (
        <RuledList aria-label="What to do now">
          {now.map(({ task, minutes }, i) => (
            <Box
              component="li"
              key={task.id}
              sx={{ py: 1.25, display: 'flex', gap: 2, alignItems: 'center', flexWrap: 'wrap' }}
            >
              <Box sx={{ fontSize: '1.5rem', fontWeight: 660, minWidth: 84, fontVariantNumeric: 'tabular-nums' }}>
                {hours(minutes)}
              </Box>
              <Box sx={{ flex: '1 1 220px' }}>
                <Box sx={{ fontWeight: 640, fontSize: '1.1rem' }}>{task.label}</Box>
                <Box sx={{ color: 'text.secondary' }}>
                  {summaries[task.bicycle]?.name}
                  {task.waitMin > 0 && `; then it waits ${hours(task.waitMin)} by itself`}
                  {minutes < task.minutes && `; ${hours(task.minutes)} in all, gone on with later`}
                  {task.why && `; ${task.why}`}
                </Box>
              </Box>
              <Box sx={{ display: 'flex', gap: 1 }}>
                <Button
                  variant={i === 0 ? 'contained' : 'outlined'}
                  sx={{ minHeight: 48 }}
                  aria-label={`Start: ${task.label}`}
                  onClick={() => start(task)}
                >
                  Start
                </Button>
                {task.kind === 'job' && (
                  <Button
                    color="inherit"
                    sx={{ minHeight: 48 }}
                    aria-label={`Done: ${task.label}`}
                    onClick={() => setAsking(task.id)}
                  >
                    Done
                  </Button>
                )}
              </Box>
              {asking === task.id && (
                <Box
                  data-readings
                  sx={{ flexBasis: '100%', display: 'flex', gap: 1.5, alignItems: 'start', flexWrap: 'wrap' }}
                >
                  <ReadingField
                    label="It took"
                    kind="number"
                    unit="min"
                    width={150}
                    keepEmpty
                    value={null}
                    help={`estimated ${hours(task.minutes)}; what it took is learnt from`}
                    refuse={(value) => (value <= 0 || value > 10_080 ? 'more than nought, a week at most' : null)}
                    onCommit={(value) => finish(task, value)}
                  />
                  <Button color="inherit" sx={{ minHeight: 48 }} onClick={() => finish(task, null)}>
                    Done, time not known
                  </Button>
                </Box>
              )}
            </Box>
          ))}
        </RuledList>
      )}
      {now.length > 0 && (
        <Box sx={{ my: 1 }}>Then stop. The last five minutes: photograph where it stands, and clear away.</Box>
      )}
      {leftOut.length > 0 && plan && (
        <Box
          component="ul"
          aria-label="Left alone for now"
          sx={{ m: 0, pl: 0, listStyle: 'none', color: 'text.secondary' }}
        >
          {leftOut.slice(0, MOST_LEFT_OUT).map((task) => (
            <li key={task.id}>
              Not now: {task.label} ({summaries[task.bicycle]?.name}),{' '}
              {whyNot(task, have, zeroMs, startOf.get(task.id) ?? null)}.
            </li>
          ))}
        </Box>
      )}
    </Section>
  );
}
