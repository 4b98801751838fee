import { z } from 'zod';

z.config({ jitless: true });

export const BRIEFS = ['rideable', 'preserve', 'period', 'modernise', 'donor'] as const;
export type Brief = (typeof BRIEFS)[number];

/** What a bicycle is, as far as the work on it differs. Sizes in millimetres. */
export const bicycleKind = z.strictObject({
  frame: z.enum(['diamond', 'step-through']).default('diamond'),
  frameMaterial: z.enum(['steel', 'aluminium', 'carbon']).default('steel'),
  beadSeatMm: z.number().min(200).max(700).default(622),
  tyreWidthMm: z.number().min(18).max(70).default(32),
  bars: z.enum(['drop', 'flat', 'swept']).default('drop'),
  stem: z.enum(['quill', 'threadless']).default('quill'),
  brakes: z.enum(['rim', 'disc']).default('rim'),
  chain: z.enum(['single-or-hub-gear', '5-8-speed', '9-10-speed', '11-speed', '12-speed']).default('5-8-speed'),
  cranks: z.enum(['square-taper', 'cottered', 'pinch-bolt', 'one-piece', 'other']).default('square-taper'),
  bottomBracket: z.enum(['english', 'italian', 'french', 'swiss', 'british-26']).nullable().default(null),
  wheels: z.enum(['quick-release', 'nutted']).default('quick-release'),
  mudguards: z.boolean().default(false),
  rack: z.boolean().default(false),
});
export type BicycleKind = z.output<typeof bicycleKind>;
