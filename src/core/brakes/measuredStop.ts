import * as z from 'zod/mini';

z.config({ jitless: true });

export const STOPPED_BY = ['both', 'front', 'rear'] as const;
export const SURFACES = ['dry', 'wet'] as const;

/** A stop as it was measured: from a speed, over a distance. */
export const measuredStop = z.strictObject({
  speedKmh: z.number().check(z.gte(5), z.lte(60), z.describe('when the levers were pulled')),
  distanceM: z.number().check(z.gte(0.3), z.lte(100), z.describe('from there to standing still')),
  brakes: z.enum(STOPPED_BY),
  surface: z.enum(SURFACES),
});
export type MeasuredStop = z.output<typeof measuredStop>;
