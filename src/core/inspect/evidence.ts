import * as z from 'zod/mini';

/** How a pair of spokes feels when it is squeezed. */
export const SPOKE_FEELS = ['even', 'soft', 'slack', 'hard', 'broken'] as const;
export type SpokeFeel = (typeof SPOKE_FEELS)[number];

export const HAND_STATES = ['fine', 'watch', 'service', 'replace', 'unsafe'] as const;
export type HandState = (typeof HAND_STATES)[number];

/** What a check takes down, by its kind; the raw evidence that is stored, never a verdict. */
export const evidence = z.strictObject({
  outcome: z.optional(z.string().check(z.maxLength(40))),
  /** Judged by eye, with no reading; a reading taken later stands in its stead. */
  byEye: z.optional(z.enum(HAND_STATES)),
  feel: z.optional(z.enum(['smooth', 'light-rumble', 'gritty', 'notchy', 'tight', 'seized', 'unknown'])),
  play: z.optional(z.enum(['none', 'slight', 'clear', 'unknown'])),
  grease: z.optional(z.enum(['fresh', 'dirty', 'dry', 'rusty', 'unknown'])),
  cup: z.optional(z.enum(['bright', 'dull', 'pitted', 'unknown'])),
  cone: z.optional(z.enum(['bright', 'dull', 'pitted', 'unknown'])),
  balls: z.optional(z.enum(['bright', 'dull', 'rusty', 'short', 'unknown'])),
  seal: z.optional(z.enum(['sound', 'torn', 'unknown'])),
  /** Rock at the rim, stop to stop, and how long it spins: readings to compare with afterwards. */
  rimMm: z.optional(z.number().check(z.gte(0), z.lte(50))),
  spinS: z.optional(z.number().check(z.gte(0), z.lte(600))),
  readingsMm: z.optional(z.array(z.number()).check(z.maxLength(144))),
  minimumMm: z.optional(z.number()),
  pitches: z.optional(z.number()),
  lengthMm: z.optional(z.number()),
  dropsInAtPercent: z.optional(z.number()),
  notAtPercent: z.optional(z.nullable(z.number())),
  left: z.optional(z.enum(['firm', 'loose'])),
  right: z.optional(z.enum(['firm', 'loose'])),
  gaps: z.optional(
    z
      .array(
        z.strictObject({
          clockDeg: z.number().check(z.gte(0), z.lte(360)),
          gapMm: z.number().check(z.gte(0), z.lte(500)),
        }),
      )
      .check(z.maxLength(12)),
  ),
  bentBefore: z.optional(z.boolean()),
  pairs: z.optional(z.array(z.enum(SPOKE_FEELS)).check(z.maxLength(24))),
  code: z.optional(z.string().check(z.maxLength(4))),
});
export type Evidence = z.output<typeof evidence>;

/**
 * Evidence as a cell of a table writes it: fields joined by `;`. Example: `evidenceOf('feel=smooth;play=none')` is
 * `{ feel: 'smooth', play: 'none' }`; `by_eye=service` is a judgement by eye.
 */
export function evidenceOf(cell: string): Evidence {
  return Object.fromEntries(
    cell.split(';').map((term) => {
      const [field, value] = term.split('=') as [string, string];
      return [field === 'by_eye' ? 'byEye' : field, value];
    }),
  );
}
