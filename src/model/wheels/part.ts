import * as z from 'zod/mini';
import { at, id, person, type Held } from '../fields';
import { fields, rows } from '../leaf';

export const WHEEL_ENDS = ['front', 'rear'] as const;
export const wheelEnd = z.enum(WHEEL_ENDS);
export type WheelEnd = (typeof WHEEL_ENDS)[number];

const mm = (least: number, most: number) => z.number().check(z.gte(least), z.lte(most));
const spoke = z.number().check(z.multipleOf(1), z.gte(0), z.lte(47));

/** How a wheel is built, as far as its truing hangs on it. Lengths in mm. */
export const wheelBuild = z.strictObject({
  spokes: z.number().check(z.multipleOf(2), z.gte(16), z.lte(48)),
  crossings: z.number().check(z.multipleOf(1), z.gte(0), z.lte(4)),
  rimRadiusMm: mm(120, 350),
  leftRadiusMm: mm(5, 120),
  rightRadiusMm: mm(5, 120),
  leftOffsetMm: mm(1, 80),
  rightOffsetMm: mm(1, 80),
  rimClass: id,
  mirrored: z.boolean(),
});
export type WheelBuild = z.output<typeof wheelBuild>;

const read = z.nullable(z.number().check(z.gte(-15), z.lte(15)));
/** A wheel read once round: at each spoke from the valve hole, or null. */
export const wheelReading = z.strictObject({
  id,
  at,
  by: person,
  end: wheelEnd,
  lateralMm: z.array(read).check(z.maxLength(48)),
  radialMm: z.optional(z.array(read).check(z.maxLength(48))),
  tensionN: z.optional(z.array(z.nullable(z.number().check(z.gte(0), z.lte(4000)))).check(z.maxLength(48))),
  dishMm: z.nullable(z.number().check(z.gte(-30), z.lte(30))),
});
export type WheelReading = z.output<typeof wheelReading>;

/** A round that was begun: the reading that it answers, and of its turns those that are made. */
export const wheelRound = z.strictObject({
  id,
  at,
  by: person,
  end: wheelEnd,
  reading: id,
  turns: z
    .array(z.strictObject({ spoke, turns: z.number().check(z.gte(-10), z.lte(10)), made: z.boolean() }))
    .check(z.maxLength(48)),
});
export type WheelRound = z.output<typeof wheelRound>;

/** What a nipple is besides turning as it should. */
export const NIPPLES = ['loose', 'stuck'] as const;

export const part = {
  wheelBuilds: fields(z.partialRecord(wheelEnd, wheelBuild), { words: 'how a wheel is built' }),
  wheelReadings: rows(z.array(wheelReading), { most: 400, words: 'readings of wheels', where: 'Rebuild', order: 'at' }),
  wheelRounds: rows(z.array(wheelRound), { most: 200, words: 'rounds of truing', where: 'Rebuild', order: 'at' }),
  /** Nipples that are loose or stuck, by wheel and spoke: `front/7`. */
  nipples: fields(z.record(id, z.enum(NIPPLES)), { words: 'a nipple' }),
};

export const fresh = (): Held<typeof part> => ({ wheelBuilds: {}, wheelReadings: [], wheelRounds: [], nipples: {} });
