import * as z from 'zod/mini';
import { holds } from './conditions';

z.config({ jitless: true });

export const BRIEFS = ['rideable', 'preserve', 'period', 'modernise', 'donor'] as const;
export type Brief = (typeof BRIEFS)[number];

export const FRAMES = ['diamond', 'mixte', 'step-through', 'small-wheel', 'long-tail', 'full-suspension'] as const;
export const GEARS = ['derailleur', 'hub', 'single', 'coaster'] as const;
export const BRAKES = ['caliper', 'cantilever', 'direct-pull', 'disc', 'drum', 'back-pedal'] as const;
export const AXLES = ['quick-release', 'nutted', 'thru-axle'] as const;
export const COGS_ON = ['freewheel', 'cassette', 'fixed', 'sprocket'] as const;
export const SHIFTERS = ['clamp', 'bar-end', 'down-tube', 'integrated'] as const;
const METALS = ['steel', 'aluminium', 'carbon', 'titanium'] as const;

/** What nobody has said: it is as the rest of the bicycle makes it. */
const unsaid = <Schema extends z.ZodMiniType>(schema: Schema) => z._default(z.nullable(schema), null);
const beadSeatMm = z.number().check(z.gte(200), z.lte(700));
const tyreWidthMm = z.number().check(z.gte(18), z.lte(70));
const count = (most: number) => z.number().check(z.multipleOf(1), z.gte(1), z.lte(most));

/** What a bicycle is, as far as the work on it and its drawing differ. Sizes in millimetres. */
export const bicycleKind = z.strictObject({
  frame: z._default(z.enum(FRAMES), 'diamond'),
  frameMaterial: z._default(z.enum(METALS), 'steel'),
  beadSeatMm: z._default(beadSeatMm, 622),
  tyreWidthMm: z._default(tyreWidthMm, 32),
  bars: z._default(z.enum(['drop', 'flat', 'swept']), 'drop'),
  stem: z._default(z.enum(['quill', 'threadless']), 'quill'),
  gears: z._default(z.enum(GEARS), 'derailleur'),
  brakes: z._default(z.enum(BRAKES), 'caliper').check(z.describe('back-pedal: with a caliper at the front')),
  chain: z._default(z.enum(['single-or-hub-gear', '5-8-speed', '9-10-speed', '11-speed', '12-speed']), '5-8-speed'),
  cranks: z._default(z.enum(['square-taper', 'cottered', 'pinch-bolt', 'one-piece', 'other']), 'square-taper'),
  bottomBracket: z._default(z.nullable(z.enum(['english', 'italian', 'french', 'swiss', 'british-26'])), null),
  wheels: z._default(z.enum(AXLES), 'quick-release'),
  fork: z._default(z.enum(['rigid', 'suspension']), 'rigid'),
  electric: z._default(z.boolean(), false),
  mudguards: z._default(z.boolean(), false),
  rack: z._default(z.boolean(), false),
  lights: z._default(z.boolean(), false),
  basket: z._default(z.boolean(), false),
  frontBrake: unsaid(z.enum(BRAKES)).check(z.describe('where front and rear differ')),
  rearBrake: unsaid(z.enum(BRAKES)),
  frontActuation: unsaid(z.enum(['mechanical', 'hydraulic'])),
  rearActuation: unsaid(z.enum(['mechanical', 'hydraulic'])),
  caliperMount: unsaid(z.enum(['post', 'flat'])),
  rotorMount: unsaid(z.enum(['six-bolt', 'splined'])),
  frontAxle: unsaid(z.enum(AXLES)),
  rearAxle: unsaid(z.enum(AXLES)),
  frontBeadSeatMm: unsaid(beadSeatMm).check(z.describe('where the wheels differ')),
  rearBeadSeatMm: unsaid(beadSeatMm),
  frontTyreWidthMm: unsaid(tyreWidthMm),
  rearTyreWidthMm: unsaid(tyreWidthMm),
  forkMaterial: unsaid(z.enum(METALS)),
  steererMaterial: unsaid(z.enum(METALS)),
  barMaterial: unsaid(z.enum(['metal', 'carbon'])),
  postMaterial: unsaid(z.enum(['metal', 'carbon'])),
  forkSpring: unsaid(z.enum(['air', 'coil', 'elastomer'])),
  rearShock: unsaid(z.enum(['air', 'coil'])),
  post: z._default(z.enum(['rigid', 'dropper', 'suspension']), 'rigid'),
  rings: unsaid(count(4)).check(z.describe('how many chainrings')),
  cogs: unsaid(count(14)).check(z.describe('how many cogs')),
  cogsOn: unsaid(z.enum(COGS_ON)),
  shifters: unsaid(z.enum(SHIFTERS)),
  driveSide: z._default(z.enum(['right', 'left']), 'right').check(z.describe('chain, cogs and rings')),
});
export type BicycleKind = z.output<typeof bicycleKind>;

/** The same, where nothing is left to be filled in: what is read by the hundred is checked sooner so. */
export const wholeKind = z.strictObject(
  Object.fromEntries(Object.entries(bicycleKind.shape).map(([name, field]) => [name, field.def.innerType])),
) as unknown as z.ZodMiniType<BicycleKind>;

const RIM_BRAKES: BicycleKind['brakes'][] = ['caliper', 'cantilever', 'direct-pull'];

type Brakes = Pick<BicycleKind, 'brakes'> & Partial<Pick<BicycleKind, 'frontBrake' | 'rearBrake'>>;

/** The brake of one end; a back-pedal brake has a caliper at the front. Example: brakes disc, front unsaid → disc. */
export function brakeOf(kind: Brakes, end: 'front' | 'rear'): BicycleKind['brakes'] {
  const said = end === 'front' ? kind.frontBrake : kind.rearBrake;
  return said ?? (kind.brakes === 'back-pedal' && end === 'front' ? 'caliper' : kind.brakes);
}

/** The end of a place, where it is of one. Example: `pads.rear` → rear. */
export const endOf = (place: string): 'front' | 'rear' | null =>
  place.endsWith('.front') ? 'front' : place.endsWith('.rear') ? 'rear' : null;

/**
 * What a bicycle is at one place: of wheels, brakes, axles and tyres that differ, those of its end.
 * Example: a bicycle with a disc in front alone has discs at `brake.front` and calipers at `brake.rear`.
 */
export function kindAt(kind: BicycleKind, place: string): BicycleKind {
  const end = endOf(place);
  if (end === null) return kind;
  const own =
    end === 'front'
      ? { axle: kind.frontAxle, seat: kind.frontBeadSeatMm, tyre: kind.frontTyreWidthMm }
      : { axle: kind.rearAxle, seat: kind.rearBeadSeatMm, tyre: kind.rearTyreWidthMm };
  return {
    ...kind,
    brakes: brakeOf(kind, end),
    wheels: own.axle ?? kind.wheels,
    beadSeatMm: own.seat ?? kind.beadSeatMm,
    tyreWidthMm: own.tyre ?? kind.tyreWidthMm,
  };
}

/** Whether a brake works on the rim at a place of the front or of the rear. */
export function isRimBraked(kind: Brakes, place: string): boolean {
  return RIM_BRAKES.includes(brakeOf(kind, place.endsWith('.rear') ? 'rear' : 'front'));
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

/** Whether a row of a table speaks of this bicycle. Example: `appliesTo(kind, 'gears=derailleur|hub;fork=suspension')`. */
export const appliesTo = (kind: BicycleKind, condition: string | null): boolean => holds(condition, kind);
