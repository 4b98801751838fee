import * as z from 'zod/mini';
import { MISMATCH_ANSWERS } from '@/core/bearings/counts';
import { id, person } from '../fields';
import { fields, rows, set, value } from '../leaf';
import { coneFeel, coneTrial } from './trial';
import { newBearing } from './fresh';

const count = z.nullable(z.number().check(z.multipleOf(1), z.gte(0), z.lte(200)));

export const sideCount = z.strictObject({
  out: count,
  holds: count,
  in: count,
  answer: z.nullable(z.enum(MISMATCH_ANSWERS)),
});
export type SideCount = z.output<typeof sideCount>;

/** A cartridge bearing of an assembly: what the caliper and the print say, and what becomes of it. */
export const cartridge = z.strictObject({
  boreMm: z.nullable(z.number().check(z.gt(0), z.lte(200))),
  odMm: z.nullable(z.number().check(z.gt(0), z.lte(200))),
  widthMm: z.nullable(z.number().check(z.gt(0), z.lte(200))),
  print: z.string().check(z.maxLength(60)),
  fate: z.nullable(z.enum(['keep', 'repack', 'renew'])),
});
export type CartridgeNote = z.output<typeof cartridge>;

export const track = z.enum(['bright', 'dull', 'pitted']);

export const bearingState = z.strictObject({
  feel: z.enum(['smooth', 'light-rumble', 'gritty', 'notchy', 'tight', 'seized', 'unknown']),
  play: z.enum(['none', 'slight', 'clear', 'unknown']),
  spinS: z.nullable(z.number().check(z.gte(0), z.lte(600))),
  /** Who felt it; nothing where nobody was named. */
  by: z.optional(person),
});

/** A bearing: what was counted, measured, seen and set, and when it is due again. */
export const bearing = z.strictObject({
  place: id,
  /** Counts by row of balls: left and right, upper and lower, inner and outer. */
  balls: fields(z.record(id, sideCount)),
  ballReadingsMm: value(z.array(z.number()).check(z.maxLength(200))),
  instrument: z.enum(['caliper', 'micrometer']),
  overBallsMm: z.nullable(z.number()),
  seen: fields(
    z.strictObject({
      grease: z.enum(['fresh', 'dirty', 'dry', 'rusty', 'unknown']),
      cup: z.enum(['bright', 'dull', 'pitted', 'unknown']),
      cone: z.enum(['bright', 'dull', 'pitted', 'unknown']),
      balls: z.enum(['bright', 'dull', 'rusty', 'short', 'unknown']),
      seal: z.enum(['sound', 'torn', 'unknown']),
    }),
  ),
  /** Tracks by row and part, such as left.cup, as they were seen. */
  tracks: fields(z.record(id, track)),
  /** Steps of the overhaul that are done. */
  doneSteps: set(z.array(id).check(z.maxLength(1000))),
  cartridges: fields(z.record(id, cartridge)),
  /** Whether the balls that came out went back in. */
  ballsWere: z.nullable(z.enum(['reused', 'renewed'])),
  /** Feel at points round the turn, once it is set. */
  round: fields(z.record(id, coneFeel)),
  /** A pitted cup was accepted: it runs on, and the sheet says so. */
  runOn: z.boolean(),
  service: fields(
    z.strictObject({
      doneOn: z.nullable(z.iso.date()),
      grease: z.enum(['thick', 'standard', 'thin']),
      seal: z.enum(['good', 'poor']),
    }),
  ),
  /** The axle as far as it was measured; the rest is the usual of its assembly. */
  axle: fields(
    z.partial(
      z.strictObject({
        majorMm: z.number(),
        pitchMm: z.number(),
        boreMm: z.number(),
        coneSpanMm: z.number(),
        clampForceN: z.number(),
      }),
    ),
  ),
  before: z.nullable(bearingState),
  after: z.nullable(bearingState),
  trials: rows(z.array(coneTrial), { most: 400, words: 'trials of one cone', where: 'Overhaul', order: 'stamps' }),
});
export type Bearing = z.output<typeof bearing>;

/** What is known of its bearings. */
export const part = {
  bearings: fields(z.array(bearing), {
    by: 'place',
    fresh: newBearing,
    most: 200,
    words: 'bearings',
    where: 'Overhaul',
  }),
};
