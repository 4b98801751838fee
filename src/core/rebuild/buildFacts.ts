import * as z from 'zod/mini';
import { AXLES, BRAKES, bicycleKind, brakeOf, COGS_ON, SHIFTERS, type BicycleKind } from '../bicycle';
import { assembliesFor } from '../strip/assembly';

/** What a bicycle is, what was found in its trays, and what is said besides: all of it changes which bolts there are. */
export const buildInput = z.strictObject({
  kind: z.prefault(bicycleKind, {}),
  assemblies: z
    ._default(z.record(z.string().check(z.maxLength(60)), z.string().check(z.maxLength(60))), {})
    .check(z.describe('what was found at a place, by the names of strip.trays; else what is usual')),
  leftDrive: z._default(z.boolean(), false).check(z.describe('chain, cogs and rings on the left')),
  steerer: z._default(z.nullable(z.enum(['steel', 'aluminium', 'carbon', 'titanium'])), null),
  bar: z._default(z.nullable(z.enum(['metal', 'carbon'])), null),
  seatPost: z._default(z.nullable(z.enum(['metal', 'carbon'])), null),
  frontBrake: z._default(z.nullable(z.enum(BRAKES)), null).check(z.describe('where front and rear differ')),
  rearBrake: z._default(z.nullable(z.enum(BRAKES)), null),
  caliperMount: z._default(z.nullable(z.enum(['post', 'flat'])), null),
  rotor: z._default(z.nullable(z.enum(['six-bolt', 'splined'])), null),
  disc: z._default(z.nullable(z.enum(['cable', 'hydraulic'])), null),
  axles: z._default(z.nullable(z.enum(AXLES)), null),
  cogs: z._default(z.nullable(z.enum(COGS_ON)), null),
  shifters: z._default(z.nullable(z.enum(SHIFTERS)), null),
});
export type Build = z.output<typeof buildInput>;

export type BuildFacts = Record<string, string | number | boolean | null>;

/** How a disc is worked, as the table of bolts says it. */
const DISC_OF = { mechanical: 'cable', hydraulic: 'hydraulic', unsaid: null } as const;

/** On what the cogs sit, where nobody said: by the hub that was found, else the usual one. */
export function cogsOf(kind: BicycleKind, hubRear: string | undefined): Build['cogs'] {
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
  return {
    ...kind,
    steerer: build.steerer ?? kind.steererMaterial ?? (kind.frameMaterial === 'carbon' ? 'carbon' : null),
    bar: build.bar ?? kind.barMaterial ?? 'metal',
    seatPost: build.seatPost ?? kind.postMaterial ?? 'metal',
    frontBrake: build.frontBrake ?? brakeOf(kind, 'front'),
    rearBrake: build.rearBrake ?? brakeOf(kind, 'rear'),
    caliperMount: build.caliperMount ?? kind.caliperMount ?? 'post',
    rotor: build.rotor ?? kind.rotorMount ?? 'six-bolt',
    frontDisc: build.disc ?? DISC_OF[kind.frontActuation ?? 'unsaid'],
    rearDisc: build.disc ?? DISC_OF[kind.rearActuation ?? 'unsaid'],
    frontAxle: build.axles ?? kind.frontAxle ?? kind.wheels,
    rearAxle: nuttedRear ? 'nutted' : (build.axles ?? kind.rearAxle ?? kind.wheels),
    hubFront: found.get('hub.front') ?? null,
    hubRear: hubRear ?? null,
    bracket: kind.cranks === 'one-piece' ? 'one-piece' : (found.get('bottom-bracket') ?? null),
    cogs: build.cogs ?? kind.cogsOn ?? cogsOf(kind, hubRear),
    shifters: build.shifters ?? kind.shifters ?? (kind.bars === 'drop' ? 'integrated' : 'clamp'),
  };
}
