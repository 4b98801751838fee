import * as z from 'zod/mini';

/** Where on a tube a hole is, as it lay on the wheel. */
export const TUBE_SIDES = ['tread', 'rim', 'left', 'right', 'unknown'] as const;
export type TubeSide = (typeof TUBE_SIDES)[number];
/** What the hole is like. */
export const HOLES = ['one', 'two', 'at-valve', 'seam'] as const;
/** What was found there. */
export const FOUND = ['in-tyre', 'spoke-end', 'tape', 'pinched', 'valve', 'old', 'nothing'] as const;
export type Found = (typeof FOUND)[number];

/** Of a hole what has to be known to look for its cause. */
export const holeSeen = {
  /** Along the tube from the valve, + the way the wheel rolls. */
  fromValveMm: z.nullable(z.number().check(z.gte(-1200), z.lte(1200))),
  side: z.enum(TUBE_SIDES),
  holes: z.enum(HOLES),
  found: z.nullable(z.enum(FOUND)),
};
