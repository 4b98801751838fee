import * as z from 'zod/mini';
import { answer, defineCalculator, rule } from '../calculator';
import { atLeast, clamp, mean, roundTo } from '../numbers';
import { WHEEL_ANSWERS } from '../practice/wheelLevels';
import { row, type WorkingRow } from '../verdict';
import { spread } from './round';
import { spinShape, spun, wheelsSpin } from './spin';
import { wheelsTrue } from './trueWheel';
import { rimRow } from './wheelInfluence';

const input = rule(
  z.strictObject({
    ...spinShape.shape,
    rounds: z._default(z.number().check(z.multipleOf(1), z.gte(0), z.lte(1000)), 0),
    said: z.enum(WHEEL_ANSWERS),
  }),
  ['made'],
  ({ made, spokes }) => made.length === 0 || made.length === spokes,
  ({ spokes }) => `one for each of the ${spokes} spokes, or none`,
);

export interface WheelScore {
  total: number;
  right: boolean;
  words: string;
  /** Nipples that were turned, and how many the adviser would have. */
  nipples: number;
  par: number;
  lateralMm: number;
  radialMm: number;
  working: WorkingRow[];
}

/** Off for each nipple beyond what the adviser turns, and for each round beyond the first. */
const NIPPLE_COSTS = 2;
const ROUND_COSTS = 6;
const LEAST = 20;

/**
 * Points of a hundred for a wheel trued by hand: nothing for the wrong answer, nor for one that does not lie inside; off for each nipple more than the
 * adviser would turn and each round beyond the first. Bent metal is right only where it is bent.
 *
 * Units: mm, turns. Errors: a wheel that cannot be. Source: invented. Example: a dented wheel said to be true → 0.
 */
export const wheelsScore = defineCalculator({
  id: 'wheels.score',
  title: 'Points for a wheel trued by hand',
  lane: 'long',
  example: { ...wheelsSpin.example, said: 'metal' as const },
  input,
  run({ said, rounds, ...question }): WheelScore {
    const { wheel, turns, bent, seized } = spun(question);
    const made = question.made.length > 0 ? question.made : turns.map(() => 0);
    const stands = wheel.stands(
      turns.map((each, i) => each + (seized.includes(i) ? 0 : 0.9 * made[i]!)),
      bent,
    );
    const first = wheel.stands(turns, bent);
    const rim = rimRow(question.rimClass, question.rimRadiusMm);
    const side = (of: readonly number[], at: number) => of.filter((_, i) => i % 2 === at);
    const isEven = [0, 1].every((at) => {
      const own = side(stands.tensionN, at);
      return own.every((each) => Math.abs(each - mean(own)) <= mean(own) * 0.4);
    });
    const isTight = atLeast(
      Math.max(mean(side(stands.tensionN, 0)), mean(side(stands.tensionN, 1))),
      rim.tensionMinN / 2,
    );
    const [lateralMm, radialMm] = [spread(stands.lateralMm), spread(stands.radialMm)];
    const isTrue =
      atLeast(0.5, lateralMm) &&
      atLeast(0.6, radialMm) &&
      atLeast(1, Math.abs(mean(stands.lateralMm))) &&
      isEven &&
      isTight;
    const isBent = question.fault === 'dent';
    const right = said === 'metal' ? isBent : !isBent && isTrue;
    const advised = answer(wheelsTrue, {
      spokes: question.spokes,
      crossings: question.crossings,
      rimRadiusMm: question.rimRadiusMm,
      flanges: question.flanges,
      rimClass: question.rimClass,
      readings: { lateralMm: [...first.lateralMm], radialMm: [...first.radialMm], tensionN: [...first.tensionN] },
      stuck: [...seized],
      dishMm: mean(first.lateralMm),
    });
    const par = isBent ? 0 : advised.ok ? advised.output.turns.length : question.spokes;
    const nipples = made.filter((each) => each !== 0).length;
    const over = NIPPLE_COSTS * Math.max(0, nipples - par) + ROUND_COSTS * Math.max(0, rounds - 1);
    const words = isBent
      ? said === 'metal'
        ? 'It was bent: you left the nipples alone.'
        : 'It was bent: no nipple pulls that straight.'
      : said === 'metal'
        ? 'Nothing was bent: it was its nipples.'
        : isTrue
          ? `True, by ${nipples} nipples; the adviser turns ${par}.`
          : `Not yet: ${roundTo(lateralMm, 1)} mm sideways, ${roundTo(radialMm, 1)} up and down${isTight ? '' : ', and slack'}${isEven ? '' : ', uneven'}.`;
    return {
      total: right ? clamp(100 - over, LEAST, 100) : 0,
      right,
      words,
      nipples,
      par,
      lateralMm,
      radialMm,
      working: [row('n', 'nipples turned', nipples), row('p', 'the adviser turns', par), row('r', 'rounds', rounds)],
    };
  },
});
