import { z } from 'zod';

/** How a pair of spokes feels when it is squeezed. */
export const SPOKE_FEELS = ['even', 'soft', 'slack', 'hard', 'broken'] as const;
export type SpokeFeel = (typeof SPOKE_FEELS)[number];

export const HAND_STATES = ['fine', 'watch', 'service', 'replace', 'unsafe'] as const;
export type HandState = (typeof HAND_STATES)[number];

/** What a check takes down, by its kind; the raw evidence that is stored, never a verdict. */
export const evidence = z.strictObject({
  outcome: z.string().max(40).optional(),
  /** Judged by eye, with no reading; a reading taken later stands in its stead. */
  byEye: z.enum(HAND_STATES).optional(),
  feel: z.enum(['smooth', 'light-rumble', 'gritty', 'notchy', 'tight', 'seized', 'unknown']).optional(),
  play: z.enum(['none', 'slight', 'clear', 'unknown']).optional(),
  grease: z.enum(['fresh', 'dirty', 'dry', 'rusty', 'unknown']).optional(),
  cup: z.enum(['bright', 'dull', 'pitted', 'unknown']).optional(),
  cone: z.enum(['bright', 'dull', 'pitted', 'unknown']).optional(),
  balls: z.enum(['bright', 'dull', 'rusty', 'short', 'unknown']).optional(),
  /** Rock at the rim, stop to stop, and how long it spins: readings to compare with afterwards. */
  rimMm: z.number().min(0).max(50).optional(),
  spinS: z.number().min(0).max(600).optional(),
  readingsMm: z.array(z.number()).max(144).optional(),
  minimumMm: z.number().optional(),
  pitches: z.number().optional(),
  lengthMm: z.number().optional(),
  dropsInAtPercent: z.number().optional(),
  notAtPercent: z.number().nullable().optional(),
  left: z.enum(['firm', 'loose']).optional(),
  right: z.enum(['firm', 'loose']).optional(),
  gaps: z
    .array(z.strictObject({ clockDeg: z.number().min(0).max(360), gapMm: z.number().min(0).max(500) }))
    .max(12)
    .optional(),
  bentBefore: z.boolean().optional(),
  pairs: z.array(z.enum(SPOKE_FEELS)).max(24).optional(),
  code: z.string().max(4).optional(),
});
export type Evidence = z.output<typeof evidence>;
