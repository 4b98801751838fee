import * as z from 'zod/mini';
import { defineCalculator } from '../calculator';
import { mean, plainZero, roundTo, wholeMicrometres } from '../numbers';
import { row, type Judged } from '../verdict';
import { balls } from '../balls/data/balls';

const CALIPER_UNDERSIZE_UM = 20;
const CALIPER_SPREAD_UM = 20;
const MICROMETER_SPREAD_UM = 5;
const UNKNOWN_UNDER_UM = 100;
const UNKNOWN_OVER_UM = 30;

const input = z.strictObject({
  readingsMm: z.array(z.number().check(z.gte(0.5), z.lte(30))).check(z.minLength(1), z.maxLength(200)),
  instrument: z._default(z.enum(['caliper', 'micrometer']), 'caliper'),
});

export interface IdentifiedBall extends Judged<'in-size' | 'undersize' | 'uneven' | 'unknown'> {
  nominal: { fractionIn: string; diameterMm: number } | null;
  /** Balls of this size in a bag, as they are usually sold. */
  usualPack: number | null;
  meanMm: number;
  undersizeMm: number;
  spreadMm: number;
}

/**
 * Which ball these readings are, and whether they still have their size.
 *
 * Compared in whole micrometres with the nearest size of the table. Caliper: undersize over 0.02 mm, uneven over
 * 0.02 mm of spread; micrometer: undersize over the table's limit for that size, uneven over 0.005 mm. Unknown when
 * the mean lies over 0.10 mm under or 0.03 mm over the nearest size.
 *
 * Units: mm. Errors: no reading, a size that no ball has. Source: ISO 3290 ball grades; workshop consensus.
 * Example: 6.34, 6.35, 6.34 → 1/4 in, in size.
 */
function run({ readingsMm, instrument }: z.output<typeof input>): IdentifiedBall {
  const um = readingsMm.map(wholeMicrometres);
  const meanMm = mean(readingsMm);
  const meanUm = wholeMicrometres(meanMm);
  const spreadUm = Math.max(...um) - Math.min(...um);
  const nearest = balls.reduce((best, ball) =>
    Math.abs(ball.diameterMm - meanMm) < Math.abs(best.diameterMm - meanMm) ? ball : best,
  );
  const underUm = wholeMicrometres(nearest.diameterMm) - meanUm;
  const known = underUm <= UNKNOWN_UNDER_UM && -underUm <= UNKNOWN_OVER_UM;
  const undersizeLimitUm = instrument === 'caliper' ? CALIPER_UNDERSIZE_UM : wholeMicrometres(nearest.wearLimitMm);
  const spreadLimitUm = instrument === 'caliper' ? CALIPER_SPREAD_UM : MICROMETER_SPREAD_UM;
  const undersize = underUm > undersizeLimitUm;
  const uneven = spreadUm > spreadLimitUm;
  const verdict = !known ? 'unknown' : undersize ? 'undersize' : uneven ? 'uneven' : 'in-size';

  const reasons: string[] = [];
  if (!known)
    reasons.push(
      `${roundTo(meanMm, 3)} mm is no size of the table; the nearest is ${nearest.fractionIn} in (${nearest.diameterMm} mm). Wipe the jaws and a ball, and measure again.`,
    );
  if (known && undersize)
    reasons.push(
      `${roundTo(underUm / 1000, 3)} mm under ${nearest.fractionIn} in: over the ${undersizeLimitUm / 1000} mm that a ${instrument} can tell. Renew the whole set.`,
    );
  if (known && uneven)
    reasons.push(`They differ by ${spreadUm / 1000} mm: a few balls carry the load. Renew the whole set from one lot.`);
  if (verdict === 'in-size')
    reasons.push(`${nearest.fractionIn} in, in size. Whether they go back is for the eye and the house rule.`);

  return {
    nominal: known ? { fractionIn: nearest.fractionIn, diameterMm: nearest.diameterMm } : null,
    usualPack: known ? nearest.usualPack : null,
    meanMm,
    undersizeMm: plainZero(underUm / 1000),
    spreadMm: spreadUm / 1000,
    verdict,
    reasons,
    working: [
      row('x̄', 'mean of the readings', roundTo(meanMm, 4), 'mm'),
      row('d', `nearest size, ${nearest.fractionIn} in (${nearest.source})`, nearest.diameterMm, 'mm'),
      row('u', 'undersize = d − x̄', underUm / 1000, 'mm'),
      row('lim', `undersize limit by ${instrument}`, undersizeLimitUm / 1000, 'mm'),
      row('s', 'spread = largest − smallest', spreadUm / 1000, 'mm'),
      row('lim₂', `spread limit by ${instrument}`, spreadLimitUm / 1000, 'mm'),
    ],
  };
}

export const bearingsIdentifyBall = defineCalculator({
  id: 'bearings.identifyBall',
  title: 'Which ball is it',
  example: { readingsMm: [6.34, 6.35, 6.34] },
  input,
  run,
});
