import { z } from 'zod';
import { BRAKES, bicycleKind, type BicycleKind } from '../bicycle';
import { assembliesFor } from '../strip/assembly';

/** What a record cannot say yet, and what was found in the trays: both change which bolts there are. */
export const buildInput = z.strictObject({
  kind: bicycleKind.prefault({}),
  assemblies: z
    .record(z.string().max(60), z.string().max(60))
    .default({})
    .describe('what was found at a place, by the names of strip.trays; else what is usual'),
  leftDrive: z.boolean().default(false).describe('chain, cogs and rings on the left'),
  steerer: z.enum(['steel', 'aluminium', 'carbon']).nullable().default(null),
  bar: z.enum(['metal', 'carbon']).default('metal'),
  seatPost: z.enum(['metal', 'carbon']).default('metal'),
  frontBrake: z.enum(BRAKES).nullable().default(null).describe('where front and rear differ'),
  rearBrake: z.enum(BRAKES).nullable().default(null),
  caliperMount: z.enum(['post', 'flat']).default('post'),
  rotor: z.enum(['six-bolt', 'splined']).default('six-bolt'),
  disc: z.enum(['cable', 'hydraulic']).nullable().default(null),
  axles: z.enum(['quick-release', 'nutted', 'thru-axle']).nullable().default(null),
  cogs: z.enum(['freewheel', 'cassette', 'fixed', 'sprocket']).nullable().default(null),
  shifters: z.enum(['clamp', 'bar-end', 'down-tube', 'integrated']).nullable().default(null),
});
export type Build = z.output<typeof buildInput>;

export type BuildFacts = Record<string, string | number | boolean | null>;

function cogsOf(kind: BicycleKind, hubRear: string | undefined): Build['cogs'] {
  if (kind.gears === 'hub' || kind.gears === 'coaster') return 'sprocket';
  if (hubRear === 'hub-rear-freewheel') return 'freewheel';
  return kind.gears === 'single' ? 'freewheel' : 'cassette';
}

/**
 * What a bicycle is, as far as its bolts hang on it: its kind, what was found in its trays, what was said besides, and what
 * follows from these. A carbon frame is taken to have a carbon steerer until somebody says otherwise, since the lower figure
 * does no harm. Example: a coaster hub has nuts at the rear, whatever the front has.
 */
export function buildFacts(build: Build): BuildFacts {
  const { kind } = build;
  const found = new Map(assembliesFor(kind, build.assemblies).map(({ place, id }) => [place, id]));
  const hubRear = found.get('hub.rear');
  const nuttedRear = kind.gears === 'hub' || kind.gears === 'coaster';
  const axles = build.axles ?? kind.wheels;
  return {
    ...kind,
    steerer: build.steerer ?? (kind.frameMaterial === 'carbon' ? 'carbon' : null),
    bar: build.bar,
    seatPost: build.seatPost,
    frontBrake: build.frontBrake ?? (kind.brakes === 'back-pedal' ? 'caliper' : kind.brakes),
    rearBrake: build.rearBrake ?? kind.brakes,
    caliperMount: build.caliperMount,
    rotor: build.rotor,
    disc: build.disc,
    frontAxle: axles,
    rearAxle: nuttedRear ? 'nutted' : axles,
    hubFront: found.get('hub.front') ?? null,
    hubRear: hubRear ?? null,
    bracket: kind.cranks === 'one-piece' ? 'one-piece' : (found.get('bottom-bracket') ?? null),
    cogs: build.cogs ?? cogsOf(kind, hubRear),
    shifters: build.shifters ?? (kind.bars === 'drop' ? 'integrated' : 'clamp'),
  };
}

/** Whether a row speaks of such a bicycle: every fact that it names has one of its values. */
export const holdsOf = (when: Record<string, (string | boolean)[]>, facts: BuildFacts): boolean =>
  Object.entries(when).every(([fact, values]) => (values as BuildFacts[string][]).includes(facts[fact] ?? null));
