'use client';
import { parseISO } from 'date-fns';
import { useCallback, useEffect, useRef, useState } from 'react';
import { clockMinutes, isIdle } from '@/core/plan/clock';
import { jobAtHand, runningClock } from '@/model/work/hours';
import type { Command } from '@/model/commands';
import type { Bicycle } from '@/model/record';
import type { Stage } from '@/model/stages';
import { newId } from '@/store/browser';
import { nowIso } from '@/store/now';
import { useStages } from '../workshop/declared';
import { useHand } from '../workshop/useHand';

const TOUCH_EVERY_MS = 30_000;
const LOOK_EVERY_MS = 10_000;

type Clock = NonNullable<Bicycle['clock']>;

/** What stops a clock: its minutes fall on the stage and place that it ran for. The same clock gives the same row. */
function stopped(clock: Clock, minutes: number, by: string): Command {
  return {
    type: 'stopClock',
    entry:
      minutes > 0.02
        ? {
            id: clock.id,
            stage: clock.stage,
            minutes: Math.min(minutes, 10_080),
            at: clock.startedAt,
            place: clock.place,
            ...(clock.job && { job: clock.job }),
            ...(by && { by }),
          }
        : null,
  };
}

export interface BenchClock {
  /** Since when it has been quiet, when that has to be asked about. */
  idleSince: Date | null;
  answer(count: 'all' | 'until-seen' | 'none'): void;
  start(): void;
  stop(): void;
  /** The clock stands still and goes on; what lies between is never counted. */
  pause(): void;
  resume(): void;
}

/**
 * The hours of a bicycle keep themselves: the clock starts when its bench is opened, falls on the stage and place at hand,
 * stops when the page is left, and asks once after a long quiet. A crash leaves a clock that says when somebody was last
 * seen; the next opening asks about it.
 */
export function useBenchClock(
  bicycle: Bicycle,
  send: (command: Command) => void,
  stage: Stage,
  place: string | null,
  /** The job at hand, where the task knows it. */
  job: string | null = null,
): BenchClock {
  // Buying, deciding and selling are counted when a person says so.
  const runs = useStages().some(({ id, atStand }) => id === stage && atStand);
  const { name: by } = useHand();
  const onJob = job ?? jobAtHand(bicycle, place);
  const [idleSince, setIdleSince] = useState<Date | null>(null);
  const state = useRef({ clock: bicycle.clock, send, by, asking: false, touched: 0 });
  useEffect(() => {
    state.current.clock = bicycle.clock;
    state.current.send = send;
    state.current.by = by;
  });

  const start = useCallback(() => {
    state.current.send({
      type: 'startClock',
      clock: newId(),
      at: nowIso(),
      stage,
      place,
      ...(onJob && { job: onJob }),
    });
  }, [stage, place, onJob]);
  const stop = useCallback((until: 'now' | 'seen' = 'now') => {
    const { clock } = state.current;
    if (!clock) return;
    const minutes = clockMinutes(runningClock(clock), Date.now(), until);
    state.current.send(stopped(clock, minutes, state.current.by));
  }, []);
  const ask = useCallback((clock: Clock) => {
    state.current.asking = true;
    setIdleSince(parseISO(clock.activeAt));
  }, []);

  // A stage or a place of its own is a stretch of its own: the minutes fall on what was at hand.
  useEffect(() => {
    const { clock } = state.current;
    // A clock that stands still waits for a hand, wherever that turns meanwhile.
    if (clock?.pausedAt) return;
    if (clock && isIdle(runningClock(clock), Date.now())) ask(clock);
    else if (clock && (clock.stage !== stage || clock.place !== place || (clock.job ?? null) !== onJob)) {
      stop();
      if (runs) start();
    } else if (!clock && runs) start();
  }, [bicycle.id, stage, place, onJob, runs, start, stop, ask]);

  useEffect(() => {
    function onTouch(): void {
      const { clock, touched, asking } = state.current;
      if (!clock || clock.pausedAt || asking || Date.now() - touched < TOUCH_EVERY_MS) return;
      if (isIdle(runningClock(clock), Date.now())) return ask(clock);
      state.current.touched = Date.now();
      state.current.send({ type: 'touchClock', at: nowIso() });
    }
    function onLook(): void {
      const { clock, asking } = state.current;
      if (clock && !asking && isIdle(runningClock(clock), Date.now())) ask(clock);
    }
    function onLeave(): void {
      const { clock } = state.current;
      if (clock && !state.current.asking) stop();
    }
    const looking = setInterval(onLook, LOOK_EVERY_MS);
    document.addEventListener('pointerdown', onTouch);
    document.addEventListener('keydown', onTouch);
    window.addEventListener('pagehide', onLeave);
    return () => {
      clearInterval(looking);
      document.removeEventListener('pointerdown', onTouch);
      document.removeEventListener('keydown', onTouch);
      window.removeEventListener('pagehide', onLeave);
      onLeave();
    };
  }, [bicycle.id, stop, ask]);

  return {
    idleSince,
    answer(count) {
      const { clock } = state.current;
      state.current.asking = false;
      setIdleSince(null);
      if (!clock) return;
      if (count === 'none') state.current.send({ type: 'stopClock', entry: null });
      else stop(count === 'all' ? 'now' : 'seen');
      if (runs) start();
    },
    start,
    stop: () => stop(),
    pause: () => state.current.send({ type: 'pauseClock', at: nowIso() }),
    resume() {
      const { clock } = state.current;
      if (!clock) return;
      if (clock.stage === stage && clock.place === place) state.current.send({ type: 'resumeClock', at: nowIso() });
      else {
        stop();
        start();
      }
    },
  };
}
