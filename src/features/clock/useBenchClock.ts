'use client';
import { parseISO } from 'date-fns';
import { useCallback, useEffect, useRef, useState } from 'react';
import { clockMinutes, isIdle } from '@/core/plan/clock';
import type { Command } from '@/model/commands';
import type { Bicycle } from '@/model/record';
import type { Stage } from '@/model/stages';
import { newId } from '@/store/browser';
import { nowIso } from '@/store/now';
import { useStages } from '../workshop/declared';

const TOUCH_EVERY_MS = 30_000;
const LOOK_EVERY_MS = 10_000;

type Clock = NonNullable<Bicycle['clock']>;

const running = (clock: Clock) => ({
  startedAtMs: parseISO(clock.startedAt).getTime(),
  activeAtMs: parseISO(clock.activeAt).getTime(),
});

/** What stops a clock: its minutes fall on the stage and place that it ran for. The same clock gives the same row. */
function stopped(clock: Clock, minutes: number): Command {
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
): BenchClock {
  // Buying, deciding and selling are counted when a person says so.
  const runs = useStages().some(({ id, atStand }) => id === stage && atStand);
  const [idleSince, setIdleSince] = useState<Date | null>(null);
  const state = useRef({ clock: bicycle.clock, send, asking: false, touched: 0 });
  useEffect(() => {
    state.current.clock = bicycle.clock;
    state.current.send = send;
  });

  const start = useCallback(() => {
    state.current.send({ type: 'startClock', clock: newId(), at: nowIso(), stage, place });
  }, [stage, place]);
  const stop = useCallback((until: 'now' | 'seen' = 'now') => {
    const { clock } = state.current;
    if (clock) state.current.send(stopped(clock, clockMinutes(running(clock), Date.now(), until)));
  }, []);
  const ask = useCallback((clock: Clock) => {
    state.current.asking = true;
    setIdleSince(parseISO(clock.activeAt));
  }, []);

  // A stage or a place of its own is a stretch of its own: the minutes fall on what was at hand.
  useEffect(() => {
    const { clock } = state.current;
    if (clock && isIdle(running(clock), Date.now())) ask(clock);
    else if (clock && (clock.stage !== stage || clock.place !== place)) {
      stop();
      if (runs) start();
    } else if (!clock && runs) start();
  }, [bicycle.id, stage, place, runs, start, stop, ask]);

  useEffect(() => {
    function onTouch(): void {
      const { clock, touched, asking } = state.current;
      if (!clock || asking || Date.now() - touched < TOUCH_EVERY_MS) return;
      if (isIdle(running(clock), Date.now())) return ask(clock);
      state.current.touched = Date.now();
      state.current.send({ type: 'touchClock', at: nowIso() });
    }
    function onLook(): void {
      const { clock, asking } = state.current;
      if (clock && !asking && isIdle(running(clock), Date.now())) ask(clock);
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
  };
}
