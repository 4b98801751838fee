import * as z from 'zod/mini';
import { orderedRange, workMinutes } from '../fields';

/** Kinds of work that a plan is made of. */
export const WORK = [
  'job',
  'take-out',
  'vinegar',
  'lift',
  'wash',
  'rinse',
  'overhaul',
  'back',
  'torque',
  'stand',
  'ride',
  'listing',
] as const;
export type Work = (typeof WORK)[number];

/** A piece of work that is open on a bicycle, as its record tells it. */
export const openWork = z.strictObject({
  /** Its kind and what it is of. Example: `job:true-rear`. */
  id: z.string().check(z.minLength(1), z.maxLength(110)),
  kind: z.enum(WORK),
  place: z.nullable(z.string().check(z.maxLength(64))),
  label: z.string().check(z.maxLength(160)),
  /** As it is estimated, before anything learnt; null where the table knows. */
  minutes: z.nullable(orderedRange(workMinutes)),
  parts: z.number().check(z.multipleOf(1), z.gte(0), z.lte(10_000)),
  /** Not before this moment; and out by that one at the latest. */
  notBefore: z.nullable(z.string()),
  latest: z.nullable(z.string()),
  /** What its parts may cost where nothing is ordered or bought for it; null where nothing is needed. */
  buys: z.nullable(z.number()),
  /** What it waits for that nobody knows the day of. */
  waitsFor: z.nullable(z.string().check(z.maxLength(200))),
});
export type OpenWork = z.output<typeof openWork>;

/** Of what is open on one bicycle so much is planned at once; the rest follows when some of it is done. */
export const MOST_OPEN = 100;
