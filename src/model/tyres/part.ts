import * as z from 'zod/mini';
import { holeSeen } from '@/core/tyres/puncture';
import { at, id, person, type Held } from '../fields';
import { fields, rows } from '../leaf';
import { wheelEnd } from '../wheels/part';

export const VALVES = ['narrow', 'wide'] as const;

/** A rim and what is on it, as far as it was read. Lengths in mm, pressure in bar. */
export const tyreFit = z.strictObject({
  /** Bead seats as they stand on rim and tyre. */
  rimSeatMm: z.optional(z.number().check(z.gte(200), z.lte(700))),
  tyreSeatMm: z.optional(z.number().check(z.gte(200), z.lte(700))),
  rimInnerMm: z.optional(z.number().check(z.gte(13), z.lte(35))),
  tyreMm: z.optional(z.number().check(z.gte(15), z.lte(130))),
  hooks: z.optional(z.enum(['hooked', 'hookless', 'straight-sided'])),
  isHooklessApproved: z.optional(z.boolean()),
  isTubeless: z.optional(z.boolean()),
  rimMostBar: z.optional(z.number().check(z.gt(0), z.lte(15))),
  hole: z.optional(z.enum(VALVES)),
  valve: z.optional(z.enum(VALVES)),
});
export type TyreFit = z.output<typeof tyreFit>;

/** A hole in a tube: where it is, what it looks like, and what was found to have made it. */
export const puncture = z.strictObject({
  id,
  at,
  by: person,
  end: wheelEnd,
  ...holeSeen,
  isMended: z.boolean(),
});
export type Puncture = z.output<typeof puncture>;

/** What seals in a tyre without a tube, and since when. */
export const sealant = z.strictObject({ at, by: person, ml: z.number().check(z.gt(0), z.lte(500)) });

export const part = {
  tyreFits: fields(z.partialRecord(wheelEnd, tyreFit), { words: 'what tyre and rim are' }),
  punctures: rows(z.array(puncture), { most: 200, words: 'punctures', where: 'Rebuild', order: 'at' }),
  sealants: fields(z.partialRecord(wheelEnd, sealant), { words: 'the sealant' }),
};

export const fresh = (): Held<typeof part> => ({ tyreFits: {}, punctures: [], sealants: {} });
