import * as z from 'zod/mini';
import { FRAMES } from '@/core/bicycle';
import { SALE_STATES, USES } from '@/core/buy/saleStates';
import { minorUnits, orderedRange, workMinutes } from '@/core/fields';
import { at, id, label, person, text } from '../fields';
import { fields, rows, value } from '../leaf';

export const costLine = z.strictObject({
  id,
  label,
  kind: z.enum(['standing', 'fault']),
  chance: z.number().check(z.gte(0), z.lte(1)),
  parts: orderedRange(minorUnits),
  minutes: orderedRange(workMinutes),
});
export type CostLine = z.output<typeof costLine>;

export const appraisal = z.strictObject({
  /** What is asked for it; null until somebody said. */
  asking: value(z.nullable(minorUnits), { words: 'asked for it' }),
  resale: orderedRange(minorUnits),
  otherCosts: minorUnits,
  target: z.strictObject({ kind: z.enum(['profit', 'hourly']), amount: minorUnits }),
  confidence: z.number().check(z.gte(0.5), z.lte(0.99)),
  lines: rows(z.array(costLine), { most: 200, words: 'cost lines', where: 'Buy' }),
});

/** A sold bicycle to compare with: typed, or from the feed of sold prices. */
export const comparable = z.strictObject({
  id,
  label,
  price: minorUnits,
  soldOn: z.nullable(z.iso.date()),
  from: z.enum(['typed', 'feed']),
  /** When the feed said so; null where it was typed. */
  at: z.nullable(at),
  /** Left out on purpose. */
  off: z.boolean(),
  /** What it was, as far as anybody knows. */
  frame: z.optional(z.enum(FRAMES)),
  use: z.optional(z.enum(USES)),
  sizeMm: z.optional(z.number().check(z.gte(250), z.lte(720))),
  state: z.optional(z.enum(SALE_STATES)),
});

/** What is known of a bicycle before the drive, as the advertisement and the seller tell it. */
export const lead = z.strictObject({
  advert: text,
  kept: z.nullable(z.enum(['indoors', 'shed', 'outside'])),
  indoors: z.nullable(z.enum(['no', 'yes'])),
  crashed: z.nullable(z.enum(['no', 'unsure', 'yes'])),
  ridden: z.nullable(z.enum(['week', 'year', 'years'])),
  papers: z.nullable(z.enum(['yes', 'number', 'none'])),
  distanceKm: z.nullable(z.number().check(z.gte(0), z.lte(3000))),
  costPerKm: minorUnits,
  haggle: z.number().check(z.gte(0), z.lte(0.6)),
});
export type Lead = z.output<typeof lead>;

/** A line of the door check as it was tapped: what it came to, when, and by whom. */
export const doorTap = z.strictObject({ answer: z.enum(['fine', 'bad']), at, by: person });
export type DoorTap = z.output<typeof doorTap>;

/** The advertisement, the door, the sum, the purchase. */
export const part = {
  lead: fields(lead, { words: 'the lead' }),
  /** Answers of the door check by its lines; a line without one was not looked at. */
  door: fields(z.record(id, doorTap), { words: 'at the door' }),
  /** Features that date it, by id. */
  features: fields(z.record(id, z.literal(true)), { words: 'what dates it' }),
  appraisal: fields(appraisal, { words: 'the sum' }),
  purchase: value(z.nullable(z.strictObject({ paid: minorUnits, at })), { words: 'what was paid' }),
  comparables: rows(z.array(comparable), { most: 250, words: 'sold prices', where: 'Buy' }),
};
