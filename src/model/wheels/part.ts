import * as z from 'zod/mini';
import { SPOKE_FEELS } from '@/core/inspect/evidence';
import { BROKE_AT } from '@/core/wheels/brokeAt';
import { at, id, person, type Held } from '../fields';
import { fields, rows } from '../leaf';

export const WHEEL_ENDS = ['front', 'rear'] as const;
export const wheelEnd = z.enum(WHEEL_ENDS);
export type WheelEnd = (typeof WHEEL_ENDS)[number];

const mm = (least: number, most: number) => z.number().check(z.gte(least), z.lte(most));
/** A spoke, counted from the valve hole from nought. */
export const spokeNumber = z.number().check(z.multipleOf(1), z.gte(0), z.lte(47));
const spoke = spokeNumber;

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
  /** Tones of plucked spokes; `metered` is the one whose tension a meter told besides. */
  toneHz: z.optional(z.array(z.nullable(z.number().check(z.gt(20), z.lte(5000)))).check(z.maxLength(48))),
  metered: z.optional(z.strictObject({ spoke, tensionN: z.number().check(z.gt(0), z.lte(4000)) })),
  /** As the hand feels them, squeezed in pairs. */
  feels: z.optional(z.array(z.nullable(z.enum(SPOKE_FEELS))).check(z.maxLength(48))),
  /** How the disc, or a flange, swings once round at even steps from the valve. */
  hubAt: z.optional(z.enum(['disc', 'flange'])),
  hubMm: z.optional(z.array(z.number().check(z.gte(-15), z.lte(15))).check(z.maxLength(48))),
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
    .array(
      z.strictObject({
        spoke,
        turns: z.number().check(z.gte(-10), z.lte(10)),
        made: z.boolean(),
        /** It turned by finger when the round was begun: brought up, it does no longer. */
        loose: z.optional(z.boolean()),
      }),
    )
    .check(z.maxLength(48)),
});
export type WheelRound = z.output<typeof wheelRound>;

/** What a nipple is besides turning as it should: by finger, not at all, rounded off, or rounded off and renewed. */
export const NIPPLES = ['loose', 'stuck', 'rounded', 'renewed'] as const;
export type NippleState = (typeof NIPPLES)[number];

/** A spoke that broke, and what took its place. */
export const brokenSpoke = z.strictObject({
  id,
  at,
  by: person,
  end: wheelEnd,
  spoke,
  broke: z.enum(BROKE_AT),
  /** Steps of its renewal that are done. */
  done: z.array(id).check(z.maxLength(20)),
});
export type BrokenSpoke = z.output<typeof brokenSpoke>;

/** A wheel that is being laced: by which school, and how many of its spokes are in. */
export const lacing = z.strictObject({
  pulling: z.enum(['outside', 'inside']),
  laced: z.number().check(z.multipleOf(1), z.gte(0), z.lte(48)),
});
export type Lacing = z.output<typeof lacing>;

export const part = {
  wheelBuilds: fields(z.partialRecord(wheelEnd, wheelBuild), { words: 'how a wheel is built' }),
  wheelReadings: rows(z.array(wheelReading), { most: 400, words: 'readings of wheels', where: 'Rebuild', order: 'at' }),
  wheelRounds: rows(z.array(wheelRound), { most: 200, words: 'rounds of truing', where: 'Rebuild', order: 'at' }),
  /** What nipples are by wheel and spoke: `front/7`. */
  nipples: fields(z.record(id, z.enum(NIPPLES)), { words: 'a nipple' }),
  brokenSpokes: rows(z.array(brokenSpoke), { most: 100, words: 'broken spokes', where: 'Rebuild', order: 'at' }),
  lacings: fields(z.partialRecord(wheelEnd, lacing), { words: 'the lacing of a wheel' }),
};

export const fresh = (): Held<typeof part> => ({
  wheelBuilds: {},
  wheelReadings: [],
  wheelRounds: [],
  nipples: {},
  brokenSpokes: [],
  lacings: {},
});
