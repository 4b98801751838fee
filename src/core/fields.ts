import * as z from 'zod/mini';
import { moreThan } from './numbers';

/** Largest amount taken, in minor units: far over any bicycle, far under where integers lose a unit. */
const MAX_MINOR = 1_000_000_000;

/**
 * A whole number. Written as a multiple of one: the library's own integer check stops all later rules, and every
 * error is to be told at once.
 */
export const wholeNumber = z
  .number()
  .check(z.multipleOf(1), z.gte(Number.MIN_SAFE_INTEGER), z.lte(Number.MAX_SAFE_INTEGER));

/** ISO 4217 code, three capitals. */
export const currencyCode = z
  .string()
  .check(
    z.regex(/^[A-Z]{3}$/, { error: 'give the three capitals of the currency, for example EUR' }),
    z.describe('ISO 4217 currency code'),
  );

/** Money in integer minor units, zero or more. */
export const minorUnits = z
  .number()
  .check(z.multipleOf(1), z.gte(0), z.lte(MAX_MINOR), z.describe('money in whole minor units (pence, cents)'));

/** Minutes of work, zero or more; a week of bench time at most. */
export const workMinutes = z.number().check(
  z.gte(0),
  z.lte(100_000),
  z.refine((value) => value === 0 || value >= 0.001, { error: 'under a thousandth of a minute: enter 0 for no time' }),
  z.describe('minutes of work'),
);

/** A length that a bench measures, in millimetres, more than zero. */
export const lengthMm = z.number().check(z.gt(0), z.lte(10_000), z.describe('millimetres'));

/** A share between 0 and 1. */
export const share = z.number().check(z.gte(0), z.lte(1));

/** low ≤ likely ≤ high, checked field by field so that the wrong one is named. */
export function orderedRange<T extends z.ZodMiniType<number, number>>(value: T) {
  return z.strictObject({ low: value, likely: value, high: value }).check(
    z.superRefine((fields, context) => {
      const range = fields as Range;
      if (moreThan(range.low, range.likely)) {
        const message = `the low value ${range.low} is over the likely one ${range.likely}: put them in order`;
        context.addIssue({ code: 'custom', path: ['low'], message, input: range });
      }
      if (moreThan(range.likely, range.high)) {
        const message = `the high value ${range.high} is under the likely one ${range.likely}: put them in order`;
        context.addIssue({ code: 'custom', path: ['high'], message, input: range });
      }
    }),
    z.describe('low ≤ likely ≤ high'),
  );
}

export interface Range {
  low: number;
  likely: number;
  high: number;
}
