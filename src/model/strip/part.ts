import { z } from 'zod';
import { minorUnits } from '@/core/fields';
import { bearingState, cartridge, coneFeel, coneTrial, sideCount, track } from '../bearings/part';
import { at, id, label } from '../fields';
import { fields, rows, value } from '../leaf';
import { newTray } from './fresh';

export const PART_MARKS = ['missing', 'wrong', 'worn'] as const;
export type PartMark = (typeof PART_MARKS)[number];
export const soil = z.enum(['oil', 'old-grease', 'mud', 'rust']);

/** A part that no template has, as it was found on this bicycle. */
export const extraPart = z.strictObject({ id, label, side: z.enum(['left', 'right']).nullable() });

export const tray = z.strictObject({
  place: id,
  /** The assembly that was found there; null for the one that is usual for the bicycle. */
  assembly: id.nullable(),
  doneSteps: value(z.array(id)),
  order: value(z.array(id)),
  backIn: value(z.array(id)),
  /** Counts by row of balls: left and right, upper and lower, inner and outer. */
  balls: fields(z.record(id, sideCount)),
  extra: value(z.array(extraPart).max(200)),
  marks: fields(z.record(id, z.enum(PART_MARKS))),
  /** Parts that have been cleaned since they came off. */
  cleaned: value(z.array(id).max(1000)),
  /** Whether a part is hardened, as far as it was asked: what is hardened never meets acid. */
  hardened: fields(z.record(id, z.boolean())),
  /** Parts that are left off on purpose: their slot is closed. */
  leftOff: value(z.array(id).max(1000)),
  /** Parts that are not kept for this bicycle. */
  fates: fields(z.record(id, z.enum(['stock', 'scrap']))),
  ballReadingsMm: value(z.array(z.number()).max(200)),
  instrument: z.enum(['caliper', 'micrometer']),
  overBallsMm: z.number().nullable(),
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
  worked: value(z.array(id).max(1000)),
  cartridges: fields(z.record(id, cartridge)),
  /** Whether the balls that came out went back in. */
  ballsWere: z.enum(['reused', 'renewed']).nullable(),
  /** Feel at points round the turn, once it is set. */
  round: fields(z.record(id, coneFeel)),
  /** A pitted cup was accepted: it runs on, and the sheet says so. */
  runOn: z.boolean(),
  service: fields(
    z.strictObject({
      doneOn: z.iso.date().nullable(),
      grease: z.enum(['thick', 'standard', 'thin']),
      seal: z.enum(['good', 'poor']),
    }),
  ),
  /** The axle as far as it was measured; the rest is the usual of its assembly. */
  axle: fields(
    z
      .strictObject({
        majorMm: z.number(),
        pitchMm: z.number(),
        boreMm: z.number(),
        coneSpanMm: z.number(),
        clampForceN: z.number(),
      })
      .partial(),
  ),
  soils: fields(z.record(id, soil)),
  before: bearingState.nullable(),
  after: bearingState.nullable(),
  trials: rows(z.array(coneTrial), { most: 400, words: 'trials of one cone', where: 'Overhaul', order: 'stamps' }),
});
export type Tray = z.output<typeof tray>;

/** Something that will not move: what it is made of, what was tried, how it ended. */
export const seized = z.strictObject({
  id,
  place: id,
  part: label,
  partMaterial: label,
  aroundMaterial: label,
  paintMatters: z.boolean(),
  partValue: minorUnits,
  aroundValue: minorUnits,
  tried: z.array(z.strictObject({ step: id, soakMinutes: z.number().min(0).max(100_000), at })).max(500),
  ended: z.strictObject({ how: z.enum(['freed', 'left']), at }).nullable(),
});
export type Seized = z.output<typeof seized>;

/** A trick found the hard way, pinned to a step of an assembly; it is shown on the next bicycle that has one. */
export const trick = z.strictObject({ id, assembly: id, step: id, text: z.string().min(1).max(300), at });
export type Trick = z.output<typeof trick>;

/** What came off, in its trays, and what would not. */
export const part = {
  trays: fields(z.array(tray), { by: 'place', fresh: newTray, most: 200, words: 'trays', where: 'Strip' }),
  seized: rows(z.array(seized), { most: 200, words: 'stuck parts', where: 'Strip' }),
  tricks: rows(z.array(trick), { most: 500, words: 'tricks', where: 'Strip' }),
};
