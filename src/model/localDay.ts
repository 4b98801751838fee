import { lightFormat } from 'date-fns';

/**
 * The day on the wall of the workshop at a moment, as year, month and day: the calendar of the machine that asks,
 * never that of Greenwich. Example: half past midnight in Berlin on 2 June is `2026-06-02`, while UTC says the first.
 */
export const localDay = (at: Date): string => lightFormat(at, 'yyyy-MM-dd');
