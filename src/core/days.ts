import {
  addDays,
  addMonths,
  addWeeks,
  differenceInCalendarDays,
  lightFormat,
  parseISO,
  startOfISOWeek,
  subDays,
} from 'date-fns';

/**
 * Days of the calendar, written `2026-11-25`. They belong to no zone: each is reckoned at its own midnight, so that neither
 * a zone nor a summer time shifts one.
 */
const written = (date: Date): string => lightFormat(date, 'yyyy-MM-dd');

/** Days from one to another, negative when it lies before. Example: 28 February to 1 March 2026 is 1. */
export const daysBetween = (from: string, to: string): number => differenceInCalendarDays(parseISO(to), parseISO(from));

/** A day so many days earlier. Example: 1 March 2026 and one day is 28 February. */
export const daysBefore = (day: string, days: number): string => written(subDays(parseISO(day), days));

/** A day so many days later. Example: 28 February 2026 and one day is 1 March. */
export const daysLater = (day: string, days: number): string => written(addDays(parseISO(day), days));

/** A day so many months later; where that month is shorter, its last day. Example: 31 January and one month is 28 February. */
export const monthsLater = (day: string, months: number): string => written(addMonths(parseISO(day), months));

/** The Monday of a week as it is counted by ISO 8601. Example: week 1 of 2026 begins on 29 December 2025. */
export const mondayOf = (week: number, year: number): string =>
  // The fourth of January lies in the first week, whatever day of the week it is.
  written(addWeeks(startOfISOWeek(new Date(year, 0, 4)), week - 1));
