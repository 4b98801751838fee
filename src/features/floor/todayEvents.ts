import type { Summary } from '@/model/summary';

const HOUR_MS = 3_600_000;
/** So much of the time to come is drawn. */
export const AHEAD_MS = 24 * HOUR_MS;
/** A delivery is looked for from this hour on. */
const MORNING_H = 8;
const MOST_EVENTS = 3;

export interface TodayEvent {
  id: string;
  label: string;
  kind: 'soak' | 'delivery';
  bicycle: string;
  atMs: number;
}

/** What falls due within a day from now, the soonest first: soaks to be lifted out, and deliveries. */
export function todayEvents(rows: readonly Summary[], nowMs: number): TodayEvent[] {
  return rows
    .flatMap(({ id: bicycle, timers, waits }): TodayEvent[] => [
      ...timers.map(({ id, label, dueAtMs }) => ({ id, label, kind: 'soak' as const, bicycle, atMs: dueAtMs })),
      ...waits.flatMap(({ id, label, dueOn }) => {
        if (dueOn === null) return [];
        const [year, month, day] = dueOn.split('-').map(Number) as [number, number, number];
        const atMs = new Date(year, month - 1, day, MORNING_H).getTime();
        return [{ id, label, kind: 'delivery' as const, bicycle, atMs }];
      }),
    ])
    .filter(({ atMs, kind }) => atMs < nowMs + AHEAD_MS && (kind === 'soak' || atMs > nowMs - AHEAD_MS))
    .toSorted((a, b) => a.atMs - b.atMs);
}

/** Those that are drawn, and how many more there are. */
export const shownEvents = (events: readonly TodayEvent[]) => ({
  shown: events.slice(0, MOST_EVENTS),
  more: Math.max(0, events.length - MOST_EVENTS),
});

export const SESSIONS_PX = 42;
export const EVENT_PX = 22;
