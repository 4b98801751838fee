import { own } from '@/core/own';
import { addDays, lightFormat, startOfDay } from 'date-fns';
import type { WorkshopSettings } from '../settings/settings';

/** A session as it lies on the clock: its name, and its moments. */
export interface Session {
  /** Its day and which of that day it is; what a cancellation names. */
  key: string;
  /** Whose hands, by the id of somebody of the workshop. */
  who: string;
  fromMs: number;
  toMs: number;
}

/** So many days ahead are planned. */
export const DAYS_AHEAD = 42;
/** What is left of a session under this is no session. */
const LEAST_MS = 5 * 60_000;

type Times = Pick<WorkshopSettings, 'week' | 'ownSessions' | 'cancelled' | 'busy' | 'people'>;

/** An hour on the wall of a day as a moment, in the zone of the machine: an hour of the summer time that is not there lies after the gap. */
function momentOf(day: Date, wall: string): number {
  const [hour, minute] = wall.split(':').map(Number) as [number, number];
  return new Date(day.getFullYear(), day.getMonth(), day.getDate(), hour, minute).getTime();
}

/** From Monday as 1 to Sunday as 7. */
const weekday = (day: Date): number => ((day.getDay() + 6) % 7) + 1;

/** A session without what is taken: what is left of it, in pieces. */
function without({ fromMs, toMs, ...rest }: Session, taken: readonly { fromMs: number; toMs: number }[]): Session[] {
  let pieces = [{ fromMs, toMs }];
  for (const busy of taken)
    pieces = pieces.flatMap((piece) =>
      busy.toMs <= piece.fromMs || busy.fromMs >= piece.toMs
        ? [piece]
        : [
            { fromMs: piece.fromMs, toMs: busy.fromMs },
            { fromMs: busy.toMs, toMs: piece.toMs },
          ].filter((part) => part.toMs > part.fromMs),
    );
  return pieces.map((piece) => ({ ...rest, ...piece }));
}

/** Sessions as they were set, cancelled ones too, before a calendar takes from them. */
export function setSessions(
  { week, ownSessions, people }: Pick<Times, 'week' | 'ownSessions' | 'people'>,
  now: Date,
): Session[] {
  const known = new Set(people.map(({ id }) => id));
  // Hours of somebody who works here no longer are not lost: they are the first one’s.
  const whose = (who: string) => (known.has(who) ? who : (people[0]?.id ?? ''));
  const days = Array.from({ length: DAYS_AHEAD }, (_, i) => addDays(startOfDay(now), i));
  return days
    .flatMap((day) => {
      const on = lightFormat(day, 'yyyy-MM-dd');
      return [...week.filter((each) => each.day === weekday(day)), ...ownSessions.filter((each) => each.on === on)].map(
        ({ id, from, to, who }) => ({
          key: `${on} ${id}`,
          who: whose(who),
          fromMs: momentOf(day, from),
          toMs: momentOf(day, to),
        }),
      );
    })
    .filter(({ fromMs, toMs }) => toMs > fromMs && toMs > now.getTime())
    .toSorted((a, b) => a.fromMs - b.fromMs);
}

/**
 * The sessions of the next weeks, in order, and those of one person apart: the usual week and days of their own, less what is cancelled and what a calendar says is taken, from now on. Two of one
 * person that overlap are one. Example: Tuesday 18:00 to 20:00 with 19:00 to 19:30 taken → two sessions.
 */
export function sessionsAhead(times: Times, now: Date): Session[] {
  const taken = times.busy.map(({ from, to }) => ({ fromMs: Date.parse(from), toMs: Date.parse(to) }));
  const open = setSessions(times, now)
    .filter(({ key }) => !own(times.cancelled, key))
    .map((each) => ({ ...each, fromMs: Math.max(each.fromMs, now.getTime()) }))
    .flatMap((each) => without(each, taken))
    .filter(({ fromMs, toMs }) => toMs - fromMs >= LEAST_MS)
    .toSorted((a, b) => a.fromMs - b.fromMs);
  const apart: Session[] = [];
  for (const each of open) {
    const last = apart.findLast(({ who }) => who === each.who);
    if (last && each.fromMs <= last.toMs) last.toMs = Math.max(last.toMs, each.toMs);
    else apart.push({ ...each });
  }
  return apart;
}

/** Whose hands there are, in the order in which they come. */
export const handsIn = (sessions: readonly Session[]): string[] => [...new Set(sessions.map(({ who }) => who))];

/** When anybody is there: sessions of several people as one where they overlap, each under the name of the first. */
export function openTimes(sessions: readonly Session[]): Session[] {
  const open: Session[] = [];
  for (const each of sessions.toSorted((a, b) => a.fromMs - b.fromMs)) {
    const last = open.at(-1);
    if (last && each.fromMs < last.toMs) last.toMs = Math.max(last.toMs, each.toMs);
    else open.push({ ...each });
  }
  return open;
}
