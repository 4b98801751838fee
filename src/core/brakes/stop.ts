import { defineCalculator } from '../calculator';
import { atLeast, roundTo } from '../numbers';
import { row, type Judged } from '../verdict';
import { stopLimits } from './data/stops';
import { measuredStop, type MeasuredStop } from './measuredStop';

export interface Stop extends Judged<'passes' | 'weak' | 'fails'> {
  decelerationMs2: number;
  limitMs2: number;
  /** Between which it lies, as speed and distance are read on a bicycle. */
  betweenMs2: { low: number; high: number };
}

/** Under this share over the limit it stops, and one would look at it again. */
const WEAK_UNDER = 1.15;
/** What a speed on a bicycle's computer is good for, and a distance that was paced out. */
const SPEED_WITHIN = 0.05;
const DISTANCE_WITHIN = 0.1;

const deceleration = (speedKmh: number, distanceM: number) => (speedKmh / 3.6) ** 2 / (2 * distanceM);

function verdictOf(ms2: number, limitMs2: number): Stop['verdict'] {
  if (!atLeast(ms2, limitMs2)) return 'fails';
  return atLeast(ms2, WEAK_UNDER * limitMs2) ? 'passes' : 'weak';
}

const WORDS: Record<Stop['verdict'], string> = {
  passes: 'It stops as it should.',
  weak: 'It stops, and only just: look at pads, rim and cable again.',
  fails: 'It does not stop as it should: not to be ridden until it does.',
};

/**
 * The brake proof, where somebody cares to measure it: how hard a bicycle slows down from a speed over a distance.
 *
 * a = v² / (2·s). Under the least of its row it fails; under 1.15 of it, it is weak. The band is that of a speed read to
 * 5 % and a distance paced to 10 %.
 *
 * Units: km/h, m, m/s². Errors: a speed or distance that no such stop has. Source: motion at constant deceleration; the
 * limits are rules of thumb after published test distances. Example: 20 km/h in 3.5 m, dry, both brakes → 4.41 m/s², passes.
 */
function run({ speedKmh, distanceM, brakes, surface }: MeasuredStop): Stop {
  const ms2 = deceleration(speedKmh, distanceM);
  const limitMs2 = stopLimits.find((each) => each.brakes === brakes && each.surface === surface)!.leastMs2;
  const verdict = verdictOf(ms2, limitMs2);
  const betweenMs2 = {
    low: deceleration(speedKmh * (1 - SPEED_WITHIN), distanceM * (1 + DISTANCE_WITHIN)),
    high: deceleration(speedKmh * (1 + SPEED_WITHIN), distanceM * (1 - DISTANCE_WITHIN)),
  };
  const unsure = verdictOf(betweenMs2.low, limitMs2) !== verdictOf(betweenMs2.high, limitMs2);
  return {
    decelerationMs2: ms2,
    limitMs2,
    betweenMs2,
    verdict,
    reasons: [
      WORDS[verdict],
      ...(unsure ? ['As near as this is read it may be otherwise: measure a second stop.'] : []),
      'The limits are rules of thumb after published test distances.',
    ],
    working: [
      row('v', 'speed', roundTo(speedKmh / 3.6, 2), 'm/s'),
      row('s', 'distance', distanceM, 'm'),
      row('a', 'v² / (2·s)', roundTo(ms2, 2), 'm/s²'),
      row('±', `as read, from ${roundTo(betweenMs2.low, 1)} to`, roundTo(betweenMs2.high, 1), 'm/s²'),
      row('l', `least, ${surface}, ${brakes === 'both' ? 'both brakes' : `${brakes} brake alone`}`, limitMs2, 'm/s²'),
    ],
  };
}

export const brakesStop = defineCalculator({
  id: 'brakes.stop',
  title: 'How hard a bicycle stops',
  example: { speedKmh: 20, distanceM: 3.5, brakes: 'both', surface: 'dry' },
  input: measuredStop,
  run,
});
