import {
  clampAxle,
  freshState,
  handFeel,
  later,
  lockCone,
  rockMm,
  soundOf,
  spin,
  turnCone,
  unlockCone,
  type HiddenHub,
  type HubSound,
  type HubState,
} from '@/core/practice/hub';
import type { Feel } from '@/core/bearings/coneBelief';

/** One lock of the locknut: what was turned before it, and what was felt after. */
export interface RoomTrial {
  turnDeg: number;
  feel: Feel | null;
  clamped: boolean;
}

export interface RoomView {
  state: HubState;
  /** Degrees turned since the last lock. */
  turnedDeg: number;
  trials: RoomTrial[];
  /** Whether it was rocked or spun since it was locked. */
  felt: boolean;
  rocking: boolean;
}

export interface Frame {
  state: HubState;
  /** How far the rim is tilted by the hand, from −1 to 1. */
  rock: number;
  rockMm: number;
  sound: HubSound;
}

const LONGEST_STEP_S = 0.05;
const ROCK_S = 1.2;

/**
 * A round in the practice room as a small machine outside React: commands change what is drawn, frames move the wheel.
 * `clock` gives frames; tests give their own.
 */
export function createRoom(
  hub: HiddenHub,
  clock: { request(frame: (ms: number) => void): number; cancel(id: number): void },
) {
  let view: RoomView = { state: freshState(hub), turnedDeg: 0, trials: [], felt: false, rocking: false };
  const listeners = new Set<() => void>();
  const frames = new Set<(frame: Frame) => void>();
  let running: number | null = null;
  let lastMs: number | null = null;
  let rockedFor = 0;

  function change(next: Partial<RoomView>): void {
    view = { ...view, ...next };
    for (const listener of listeners) listener();
  }

  function show(): void {
    const rock = view.rocking ? Math.sin((rockedFor / ROCK_S) * 4 * Math.PI) : 0;
    const frame = { state: view.state, rock, rockMm: rockMm(hub, view.state), sound: soundOf(hub, view.state) };
    for (const each of frames) each(frame);
  }

  function step(ms: number): void {
    const seconds = lastMs === null ? 0 : Math.min(LONGEST_STEP_S, (ms - lastMs) / 1000);
    lastMs = ms;
    view = { ...view, state: later(hub, view.state, seconds) };
    if (view.rocking) {
      rockedFor += seconds;
      if (rockedFor >= ROCK_S) change({ rocking: false });
    }
    show();
    if (view.state.speed > 0 || view.rocking) running = clock.request(step);
    else {
      running = null;
      lastMs = null;
      change({});
    }
  }

  function run(): void {
    if (running === null) running = clock.request(step);
  }

  return {
    hub,
    view: () => view,
    subscribe(listener: () => void) {
      listeners.add(listener);
      return () => void listeners.delete(listener);
    },
    onFrame(frame: (frame: Frame) => void) {
      frames.add(frame);
      show();
      return () => void frames.delete(frame);
    },
    turn(deg: number) {
      if (view.state.locked) return;
      change({ state: turnCone(hub, view.state, deg), turnedDeg: view.turnedDeg + deg });
      show();
    },
    toggleLock() {
      if (view.state.locked)
        change({ state: unlockCone(clampAxle(hub, view.state, false)), turnedDeg: 0, felt: false });
      else
        change({
          state: lockCone(hub, view.state),
          trials: [...view.trials, { turnDeg: view.turnedDeg, feel: null, clamped: false }],
          felt: false,
        });
      show();
    },
    toggleSkewer() {
      change({ state: clampAxle(hub, view.state, !view.state.clamped), felt: false });
      show();
    },
    spin() {
      if (!view.state.locked) return;
      change({ state: spin(view.state), felt: true });
      run();
    },
    rock() {
      if (!view.state.locked) return;
      rockedFor = 0;
      change({ rocking: true, felt: true });
      run();
    },
    /** What the learner says it feels like; a second word on the same lock with the skewer changed is a trial without a turn. */
    say(feel: Feel) {
      const last = view.trials.at(-1);
      if (!view.state.locked || !last) return;
      const said = { feel, clamped: view.state.clamped };
      change({
        trials:
          last.feel === null
            ? [...view.trials.slice(0, -1), { ...last, ...said }]
            : [...view.trials, { turnDeg: 0, ...said }],
      });
    },
    /** What a hand would say, with its misreadings. */
    hand: (): Feel => handFeel(hub, view.state),
    end() {
      if (running !== null) clock.cancel(running);
      running = null;
      listeners.clear();
      frames.clear();
    },
  };
}
export type Room = ReturnType<typeof createRoom>;
