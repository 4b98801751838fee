import { z } from 'zod';

z.config({ jitless: true });

export const BRIEFS = ['rideable', 'preserve', 'period', 'modernise', 'donor'] as const;
export type Brief = (typeof BRIEFS)[number];

export const FRAMES = ['diamond', 'mixte', 'step-through', 'small-wheel', 'long-tail', 'full-suspension'] as const;
export const GEARS = ['derailleur', 'hub', 'single', 'coaster'] as const;
export const BRAKES = ['caliper', 'cantilever', 'direct-pull', 'disc', 'drum', 'back-pedal'] as const;

/** What a bicycle is, as far as the work on it and its drawing differ. Sizes in millimetres. */
export const bicycleKind = z.strictObject({
  frame: z.enum(FRAMES).default('diamond'),
  frameMaterial: z.enum(['steel', 'aluminium', 'carbon']).default('steel'),
  beadSeatMm: z.number().min(200).max(700).default(622),
  tyreWidthMm: z.number().min(18).max(70).default(32),
  bars: z.enum(['drop', 'flat', 'swept']).default('drop'),
  stem: z.enum(['quill', 'threadless']).default('quill'),
  gears: z.enum(GEARS).default('derailleur'),
  brakes: z.enum(BRAKES).default('caliper').describe('back-pedal: with a caliper at the front'),
  chain: z.enum(['single-or-hub-gear', '5-8-speed', '9-10-speed', '11-speed', '12-speed']).default('5-8-speed'),
  cranks: z.enum(['square-taper', 'cottered', 'pinch-bolt', 'one-piece', 'other']).default('square-taper'),
  bottomBracket: z.enum(['english', 'italian', 'french', 'swiss', 'british-26']).nullable().default(null),
  wheels: z.enum(['quick-release', 'nutted']).default('quick-release'),
  fork: z.enum(['rigid', 'suspension']).default('rigid'),
  electric: z.boolean().default(false),
  mudguards: z.boolean().default(false),
  rack: z.boolean().default(false),
  lights: z.boolean().default(false),
  basket: z.boolean().default(false),
});
export type BicycleKind = z.output<typeof bicycleKind>;

const RIM_BRAKES: BicycleKind['brakes'][] = ['caliper', 'cantilever', 'direct-pull'];

/** Whether a brake works on the rim at a place of the front or of the rear; a back-pedal brake has a caliper at the front. */
export function isRimBraked(kind: Pick<BicycleKind, 'brakes'>, place: string): boolean {
  return RIM_BRAKES.includes(kind.brakes) || (kind.brakes === 'back-pedal' && !place.endsWith('.rear'));
}

/** The most cogs that a class of chain runs on; what a hanger has to be straight for. */
export const SPEEDS_OF_CHAIN: Record<BicycleKind['chain'], number> = {
  'single-or-hub-gear': 1,
  '5-8-speed': 8,
  '9-10-speed': 10,
  '11-speed': 11,
  '12-speed': 12,
};

/**
 * A change of what a bicycle is, with what follows from it: a hub gear takes a single chain, a derailleur does not, small
 * wheels are small. What was changed on purpose always stands.
 *
 * Example: `withConsequences(kind, { gears: 'coaster' })` also sets the chain and the brakes.
 */
export function withConsequences(kind: BicycleKind, changes: Partial<BicycleKind>): Partial<BicycleKind> {
  const follow: Partial<BicycleKind> = {};
  if (changes.gears && changes.gears !== 'derailleur') follow.chain = 'single-or-hub-gear';
  if (changes.gears === 'derailleur' && kind.chain === 'single-or-hub-gear') follow.chain = '5-8-speed';
  if (changes.gears === 'coaster') follow.brakes = 'back-pedal';
  if (changes.gears && changes.gears !== 'coaster' && kind.brakes === 'back-pedal') follow.brakes = 'caliper';
  if (changes.frame === 'full-suspension') follow.fork = 'suspension';
  if (changes.frame === 'small-wheel' && kind.beadSeatMm > 451) follow.beadSeatMm = 406;
  if (changes.frame && changes.frame !== 'small-wheel' && kind.beadSeatMm < 451) follow.beadSeatMm = 622;
  return { ...follow, ...changes };
}

/**
 * Whether a row of a table speaks of this bicycle. A condition is `field=value|value`, several are joined by `;`, and an
 * empty one speaks of every bicycle. Example: `appliesTo(kind, 'gears=derailleur|hub;fork=suspension')`.
 */
export function appliesTo(kind: BicycleKind, condition: string | null): boolean {
  if (!condition) return true;
  return condition.split(';').every((term) => {
    const [field, values] = term.split('=') as [keyof BicycleKind, string];
    return values.split('|').includes(String(kind[field]));
  });
}

/** Whether every field that a condition names is one of a bicycle's; what a table's own test asks. */
export function isCondition(condition: string): boolean {
  return condition.split(';').every((term) => /^\w+=[\w|-]+$/.test(term) && term.split('=')[0]! in bicycleKind.shape);
}
