import * as z from 'zod/mini';
import { defineCalculator } from '../calculator';
import { moreThan, roundTo } from '../numbers';

const teeth = z.number().check(z.multipleOf(1), z.gte(7), z.lte(70));
const input = z.strictObject({
  rings: z.array(teeth).check(z.minLength(1), z.maxLength(4)),
  cogs: z.array(teeth).check(z.minLength(1), z.maxLength(14)),
  hubRatios: z
    ._default(z.array(z.number().check(z.gt(0.1), z.lte(10))).check(z.minLength(1), z.maxLength(20)), [1])
    .check(z.describe('of a hub gear: turns of the wheel for one of its cog')),
  wheelMm: z.number().check(z.gte(500), z.lte(3000), z.describe('a turn of the wheel, on the road')),
  cadence: z._default(z.number().check(z.gte(20), z.lte(200)), 80).check(z.describe('turns of the cranks a minute')),
  powerW: z
    ._default(z.number().check(z.gte(20), z.lte(2000)), 120)
    .check(z.describe('what the rider keeps up on a hill')),
  massKg: z._default(z.number().check(z.gte(30), z.lte(300)), 90).check(z.describe('rider, bicycle and load')),
});

export interface Gear {
  ring: number;
  cog: number;
  hub: number;
  ratio: number;
  developmentM: number;
  gearInches: number;
  speedKmh: number;
}
type Cogged = Pick<Gear, 'ring' | 'cog' | 'hub'>;
export interface Gears {
  gears: Gear[];
  rangePercent: number;
  jumpsPercent: number[];
  capacityTeeth: number;
  doubles: [Cogged, Cogged][];
  /** The steepest hill, roughly: in the lowest gear at 60 turns, by what the rider keeps up. */
  steepestPercent: number;
}

/** Two gears within three per cent are one gear twice. */
const SAME = 1.03;
const GRAVITY = 9.81;
/** Tyres on a road, and what chain and bearings take; on a hill the wind hardly counts. */
const ROLLING = 0.008;
const LOST = 0.05;
const SLOWEST = 60;

const bare = ({ ring, cog, hub }: Gear): Cogged => ({ ring, cog, hub });

/** Pairs of neighbours and beyond whose ratios lie within three per cent of one another. */
function doublesOf(gears: readonly Gear[]): [Cogged, Cogged][] {
  const pairs: [Cogged, Cogged][] = [];
  gears.forEach((low, i) => {
    for (const high of gears.slice(i + 1)) {
      if (moreThan(high.ratio / low.ratio, SAME)) break;
      pairs.push([bare(low), bare(high)]);
    }
  });
  return pairs;
}

/** What the rider's watts lift, less rolling: sin of the slope as a percentage of the way, which is near enough its tangent. */
function steepest(lowest: Gear, powerW: number, massKg: number): number {
  const metresPerSecond = (lowest.developmentM * SLOWEST) / 60;
  const sine = (powerW * (1 - LOST)) / (massKg * GRAVITY * metresPerSecond) - ROLLING;
  return Math.max(0, 100 * sine);
}

/**
 * The gears of a bicycle, lowest first: how far one turn of the cranks goes, how fast that is at a cadence, how wide they
 * reach, how large the jumps between neighbouring cogs are, and which gears are one gear twice.
 *
 * ratio = ring / cog · hub; development = ratio · wheel; speed = development · cadence · 0.06 km/h. The steepest hill, roughly:
 * power · 0.95 / (m·g·v) − 0.008, v that of the lowest gear at 60 turns a minute.
 *
 * Units: teeth, mm, m, km/h, W, kg, per cent. Errors: teeth beyond 7…70, a wheel beyond 500…3000 mm. Source: geometry; rolling resistance by rule of
 * thumb. Example: 42/24 over 2,150 mm → 3.76 m.
 */
export const driveGears = defineCalculator({
  id: 'drive.gears',
  title: 'What gears a bicycle has',
  example: { rings: [48, 34], cogs: [13, 15, 17, 20, 24, 28], wheelMm: 2150 },
  input,
  run({ rings, cogs, hubRatios, wheelMm, cadence, powerW, massKg }): Gears {
    const developmentM = (ratio: number) => (ratio * wheelMm) / 1000;
    const gears = rings
      .flatMap((ring) =>
        cogs.flatMap((cog) =>
          hubRatios.map((hub): Gear => {
            const ratio = (ring / cog) * hub;
            return {
              ring,
              cog,
              hub,
              ratio,
              developmentM: developmentM(ratio),
              gearInches: (ratio * wheelMm) / (Math.PI * 25.4),
              speedKmh: developmentM(ratio) * cadence * 0.06,
            };
          }),
        ),
      )
      .toSorted((a, b) => a.ratio - b.ratio);
    const sorted = cogs.toSorted((a, b) => a - b);
    const spread = (of: readonly number[]) => Math.max(...of) - Math.min(...of);
    return {
      gears,
      rangePercent: (gears.at(-1)!.ratio / gears[0]!.ratio) * 100,
      jumpsPercent: sorted.slice(1).map((cog, i) => (cog / sorted[i]! - 1) * 100),
      capacityTeeth: spread(rings) + spread(cogs),
      doubles: doublesOf(gears),
      steepestPercent: roundTo(steepest(gears[0]!, powerW, massKg), 1),
    };
  },
});
