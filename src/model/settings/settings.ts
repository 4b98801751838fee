import * as z from 'zod/mini';
import { houseRules } from '@/core/bearings/gradeRules';
import { currencyCode, minorUnits } from '@/core/fields';
import { stalePrice } from '@/core/sell/staleRule';
import { at, id, label } from '../fields';
import { fields, kept, value } from '../leaf';
import { busyTime, MOST_BUSY, ownSession, weekSession } from '../plan/sessionParts';
import { SCHEMA_VERSION } from '../version';
import { stamp } from '../stamp';

/** A bath that the workshop owns. */
export const bath = z.strictObject({
  id,
  label,
  process: label,
  capacityMl: z.number().check(z.gt(0), z.lte(10_000_000)),
  fillShare: z.number().check(z.gt(0), z.lte(1)),
});
export type Bath = z.output<typeof bath>;

export const workshopSettings = z.strictObject({
  schemaVersion: kept(z.literal(SCHEMA_VERSION)),
  name: z.string().check(z.maxLength(120)),
  currency: currencyCode,
  /** What an hour of the workshop's own time counts in its profit. */
  labourPerHour: minorUnits,
  /** What a customer pays for an hour. */
  customerPerHour: minorUnits,
  rules: fields(houseRules),
  school: z.enum(['from-tight', 'from-loose']),
  /** Single-letter keys can be switched off, for those who speak to the machine or lean on the keyboard. */
  letterKeys: z.boolean(),
  /** The hand that works the front brake where the workshop sells. */
  frontBrakeHand: z.enum(['left', 'right', 'either']),
  /** Who works here; one by default. */
  people: value(
    z.array(z.strictObject({ id, name: z.string().check(z.minLength(1), z.maxLength(80)) })).check(z.maxLength(40)),
  ),
  /** Whether every bolt that has a figure is asked for by the wrench. */
  wrenchEverywhere: z.enum(['customers', 'always', 'never']),
  /** Brakes and steering are signed by another person than did them. */
  secondEyes: z.boolean(),
  baths: value(z.array(bath).check(z.maxLength(30))),
  /** The table of the workshop's tension meter: what it reads, and what that is for a plain round spoke. */
  tensionMeter: value(
    z
      .array(
        z.strictObject({
          reading: z.number().check(z.gte(0), z.lte(200)),
          tensionN: z.number().check(z.gte(0), z.lte(4000)),
        }),
      )
      .check(z.maxLength(60)),
  ),
  /** What finished bicycles taught, by what it is about, and whether the house reckons by it; without an answer it does not. */
  learnt: fields(z.record(z.string().check(z.minLength(1), z.maxLength(80)), z.enum(['yes', 'no']))),
  /** When somebody works here in a usual week: weekday from Monday as 1, and hours on the wall. */
  week: value(z.array(weekSession).check(z.maxLength(60))),
  /** Sessions on a day of their own, beside the usual week. */
  ownSessions: value(z.array(ownSession).check(z.maxLength(400))),
  /** Sessions that are cancelled, by day and which. */
  cancelled: fields(z.record(z.string().check(z.minLength(1), z.maxLength(120)), z.boolean())),
  /** Times that a calendar says are taken. */
  busy: value(z.array(busyTime).check(z.maxLength(MOST_BUSY))),
  /** Tasks of the plan that were put somewhere by hand, to the minute; nothing where the plan decides again. */
  pins: fields(z.record(z.string().check(z.minLength(1), z.maxLength(220)), z.union([at, z.literal('')]))),
  /** How many stands there are to work at. */
  stands: z.number().check(z.multipleOf(1), z.gte(1), z.lte(50)),
  /** Days until an asking price is stale, in the months when bicycles sell and in the others. */
  stalePrice: fields(stalePrice),
  /** Rounds in the practice room by level. */
  practice: fields(
    z.record(
      id,
      z.strictObject({
        rounds: z.number().check(z.multipleOf(1), z.gte(0)),
        best: z.number().check(z.gte(0), z.lte(100)),
        last: z.number().check(z.gte(0), z.lte(100)),
        at,
      }),
    ),
  ),
  /** When each of them was last changed; what a merge with another device decides by. */
  stamps: kept(z.record(z.string().check(z.maxLength(200)), stamp)),
});
export type WorkshopSettings = z.output<typeof workshopSettings>;
