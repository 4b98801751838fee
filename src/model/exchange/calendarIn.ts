import ICAL from 'ical.js';
import { MOST_BUSY, type BusyTime } from '../plan/sessionParts';
import { DAYS_AHEAD } from '../plan/sessions';

export type BusyIn = { ok: true; busy: BusyTime[]; skipped: number } | { ok: false; why: string };

/** Larger files are no calendar of a person. */
const MOST_CHARACTERS = 20_000_000;
/** A rule that repeats by the second runs no further than this. */
const MOST_REPEATS = 5000;
const DAY_MS = 86_400_000;

/** Whole days and what is marked as free take nothing from an evening. */
function takesTime(component: ICAL.Component): boolean {
  const isFree = component.getFirstPropertyValue('transp') === 'TRANSPARENT';
  const isOff = component.getFirstPropertyValue('status') === 'CANCELLED';
  const start = component.getFirstPropertyValue('dtstart');
  return !isFree && !isOff && start instanceof ICAL.Time && !start.isDate;
}

/**
 * The times that a calendar file says are taken in the next weeks: single entries and every repeat of a rule, with its exceptions, in whichever zone they are written. Whole days, what is
 * marked free and what is cancelled take nothing. Of each only its time and the first words of its title are kept.
 *
 * Errors: a file that is no calendar, told in words. Example: a choir every Tuesday at 19:00 → six times in six weeks.
 */
export function busyIn(text: string, now: Date): BusyIn {
  if (text.length > MOST_CHARACTERS) return { ok: false, why: 'This file is too large for a calendar.' };
  let root: ICAL.Component;
  try {
    root = new ICAL.Component(ICAL.parse(text) as string | unknown[]);
    if (root.name !== 'vcalendar') throw new Error(root.name);
  } catch {
    return { ok: false, why: 'This is no calendar file: it has to end in .ics and begin with a calendar.' };
  }
  for (const zone of root.getAllSubcomponents('vtimezone')) ICAL.TimezoneService.register(zone);
  const fromMs = now.getTime();
  const toMs = fromMs + DAYS_AHEAD * DAY_MS;
  const busy: BusyTime[] = [];
  let skipped = 0;
  const take = (start: Date, end: Date, label: string) => {
    if (!(end > start) || end.getTime() <= fromMs || start.getTime() >= toMs) return;
    if (busy.length >= MOST_BUSY) {
      skipped += 1;
      return;
    }
    busy.push({ from: start.toISOString(), to: end.toISOString(), label: label.slice(0, 60) || 'Taken' });
  };
  const entries = root.getAllSubcomponents('vevent');
  // Gathered once: the library would look through all entries for each of them.
  const exceptions = new Map<unknown, ICAL.Component[]>();
  for (const entry of entries) {
    if (entry.getFirstPropertyValue('recurrence-id') === null) continue;
    const uid = entry.getFirstPropertyValue('uid');
    exceptions.set(uid, [...(exceptions.get(uid) ?? []), entry]);
  }
  for (const component of entries) {
    try {
      if (!takesTime(component)) continue;
      const event = new ICAL.Event(component, {
        exceptions: exceptions.get(component.getFirstPropertyValue('uid')) ?? [],
        strictExceptions: false,
      });
      // An exception of a rule comes with the rule.
      if (event.isRecurrenceException()) continue;
      if (!event.isRecurring()) {
        take(event.startDate.toJSDate(), event.endDate.toJSDate(), event.summary ?? '');
        continue;
      }
      const steps = event.iterator();
      for (let i = 0; i < MOST_REPEATS; i++) {
        const next = steps.next();
        if (!next || next.toJSDate().getTime() >= toMs) break;
        const { startDate, endDate, item } = event.getOccurrenceDetails(next);
        take(startDate.toJSDate(), endDate.toJSDate(), item.summary ?? '');
      }
    } catch {
      skipped += 1;
    }
  }
  return { ok: true, busy: busy.toSorted((a, b) => (a.from < b.from ? -1 : 1)), skipped };
}
