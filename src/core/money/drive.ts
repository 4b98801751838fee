import * as z from 'zod/mini';
import { defineCalculator } from '../calculator';
import { atLeast, floorForgiving, plainZero, roundHalfUp, roundTo } from '../numbers';
import { minorUnit, row, type WorkingRow } from '../verdict';
import { minorUnits, type Range } from '../fields';
import { appraiseShape, drawProblem, streamOf } from './appraise';
import { payableOf } from './ceiling';
import { pertMean, pertQuantile } from './pert';
import { quantileSelected } from './select';
import { uniformStream } from './streams';

const input = z.strictObject({
  appraisal: appraiseShape.check(z.describe('the question of money.appraise, as far as the advertisement tells')),
  travel: z.strictObject({
    distanceKm: z.number().check(z.gte(0), z.lte(3000), z.describe('one way')),
    costPerKm: minorUnits.check(z.describe('fuel or fare, minor units a kilometre')),
    speedKmh: z._default(z.number().check(z.gte(3), z.lte(300)), 50),
  }),
  haggle: z
    ._default(z.number().check(z.gte(0), z.lte(0.6)), 0.1)
    .check(z.describe('share of the asking price that usually comes off')),
});

export interface Drive {
  travelCost: number;
  travelMinutes: number;
  /** How often what is seen at the door still leaves what is wanted. */
  buyChance: number;
  /** What the drive brings on average beside the profit or wage wanted, after fuel and the hours on the road. */
  expectedGain: number;
  farthestKm: number;
  verdict: 'go' | 'ask-first' | 'stay';
  reasons: string[];
  working: WorkingRow[];
}

/** Sums that one question may take; past it the door is seen with fewer draws, and with fewer doors. */
const MOST_SUMS = 30_000_000;
const LEAST_DRAWS = 500;
/** Sums of a door beside those of its faults: start and quantile. */
const BASE_SUMS = 4;

/** What the door shows: which of the uncertain faults are there, and how often. */
interface Door {
  there: number[];
  times: number;
}

/** Every set of faults that the trials show, with how often; no more of them than can be reckoned in time. */
function doorsOf(chances: { chance: number; stream: string }[], seed: number, trials: number): Door[] {
  const happens = chances.map(({ chance, stream }) => {
    const next = uniformStream(seed, stream);
    return Uint8Array.from({ length: trials }, () => {
      const there = next() < chance ? 1 : 0;
      next();
      next();
      return there;
    });
  });
  const doors = new Map<string, Door>();
  let sums = 0;
  for (let i = 0; i < trials; i++) {
    const there = happens.flatMap((line, at) => (line[i] ? [at] : []));
    const key = there.join();
    const known = doors.get(key);
    if (known) known.times++;
    else {
      sums += there.length + BASE_SUMS;
      if (sums > MOST_SUMS / LEAST_DRAWS && doors.size > 0) break;
      doors.set(key, { there, times: 1 });
    }
  }
  return [...doors.values()];
}
/** What a line costs with its work, draw by draw, where it is there. */
function costDraws(
  line: { parts: Range; minutes: Range },
  stream: string,
  perMinute: number,
  seed: number,
  draws: number,
) {
  const next = uniformStream(seed, stream);
  const partsAt = pertQuantile(line.parts);
  const minutesAt = pertQuantile(line.minutes);
  return Float64Array.from({ length: draws }, () => {
    next();
    const parts = partsAt(next());
    return parts + perMinute * minutesAt(next());
  });
}

/**
 * Whether a lead is worth the drive. In each trial the door shows which faults are there; the buyer buys where the ceiling
 * with just these, the same (1 − confidence) quantile on the same draws as `money.appraise` takes, reaches the haggled
 * price, else comes home with nothing. What is bought brings its mean over that price. The drive is worth the mean of that
 * gain less fuel and the hours on the road at the wage wanted. At the door the travel is spent either way, so that it counts
 * here and never there.
 *
 * Units: minor units, kilometres, minutes. Errors: those of `money.appraise`. Source: expected value of information.
 * Example: a bicycle worth 100 more than asked, 10 km away at 0.30 a kilometre → go.
 */
function run({ appraisal, travel, haggle }: z.output<typeof input>): Drive {
  const { target, labourPerHour, trials, seed, currency, costs, confidence } = appraisal;
  const wage = target.kind === 'profit' ? labourPerHour : target.amount;
  const perMinute = wage / 60;
  const price = appraisal.asking * (1 - haggle);
  const sure = costs.filter(({ chance }) => chance >= 1);
  const unsure = costs.filter(({ chance }) => chance > 0 && chance < 1);
  const doors = doorsOf(
    unsure.map((line) => ({ chance: line.chance, stream: streamOf(line) })),
    seed,
    trials,
  );
  const sums = doors.reduce((sum, { there }) => sum + there.length + BASE_SUMS, 0);
  const draws = Math.max(LEAST_DRAWS, Math.min(trials, Math.floor(MOST_SUMS / sums)));
  const always = { ...appraisal, costs: sure, trials: draws };
  const start = payableOf(drawProblem(always), target, labourPerHour);
  const meanOf = (line: (typeof costs)[number]) => pertMean(line.parts) + perMinute * pertMean(line.minutes);
  const meanStart =
    pertMean(appraisal.resale) * (1 - appraisal.fee.percent / 100) -
    appraisal.fee.fixed -
    appraisal.otherCosts -
    (target.kind === 'profit' ? target.amount : 0) -
    sure.reduce((sum, line) => sum + meanOf(line), 0);
  const lines = unsure.map((line) => ({
    mean: meanOf(line),
    draws: costDraws(line, streamOf(line), perMinute, seed, draws),
  }));
  const payable = new Float64Array(draws);
  let bought = 0;
  let gain = 0;
  let seen = 0;
  for (const { there, times } of doors) {
    payable.set(start);
    for (const at of there) for (let i = 0; i < draws; i++) payable[i] = payable[i]! - lines[at]!.draws[i]!;
    seen += times;
    if (!atLeast(quantileSelected(payable, 1 - confidence), price)) continue;
    bought += times;
    gain += times * (there.reduce((sum, at) => sum - lines[at]!.mean, meanStart) - price);
  }
  const meanGain = gain / seen;
  const buyChance = bought / seen;
  const costOfKm = 2 * (travel.costPerKm + wage / travel.speedKmh);
  const travelCost = roundHalfUp(2 * travel.distanceKm * travel.costPerKm);
  const travelMinutes = (2 * travel.distanceKm * 60) / travel.speedKmh;
  const expectedGain = roundHalfUp(meanGain - travel.distanceKm * costOfKm);
  const farthestKm = costOfKm === 0 ? 3000 : Math.min(3000, floorForgiving(meanGain / costOfKm));
  const verdict = expectedGain <= 0 ? 'stay' : atLeast(buyChance, 0.5) ? 'go' : 'ask-first';
  const say = (minor: number) => `${currency} ${(minor / 100).toFixed(2)}`;
  return {
    travelCost,
    travelMinutes: roundTo(travelMinutes, 1),
    buyChance: roundTo(buyChance, 4),
    expectedGain: plainZero(expectedGain),
    farthestKm,
    verdict,
    reasons: [
      {
        go: `Worth the drive: it would be bought in ${roundTo(buyChance * 100, 0)} % of the cases.`,
        'ask-first': `It would be bought in ${roundTo(buyChance * 100, 0)} % of the cases only: ask the five questions first.`,
        stay:
          meanGain <= 0
            ? 'Stay: at this price there is nothing in it even next door.'
            : `Stay: the drive costs more than it brings; it pays up to ${farthestKm} km.`,
      }[verdict],
      `The road takes ${say(travelCost)} and ${roundTo(travelMinutes / 60, 1)} hours, spent before the door and never counted there.`,
    ],
    working: [
      row('c', 'confidence of the limit at the door', confidence),
      row('p', 'price after haggling', roundHalfUp(price), minorUnit(currency)),
      row('v', 'left over on average where it is bought or not', roundHalfUp(meanGain), minorUnit(currency)),
      row('b', 'bought in', roundTo(buyChance * 100, 1), '%'),
      row('k', 'a kilometre of distance, there and back, with the hours', roundTo(costOfKm, 1), minorUnit(currency)),
      row('d', 'distance, one way', travel.distanceKm, 'km'),
    ],
  };
}

export const moneyDrive = defineCalculator({
  id: 'money.drive',
  title: 'Whether a lead is worth the drive',
  lane: 'long',
  example: {
    appraisal: {
      currency: 'EUR',
      asking: 10000,
      resale: { low: 20000, likely: 20000, high: 20000 },
      costs: [],
      target: { kind: 'profit', amount: 0 },
      trials: 1000,
    },
    travel: { distanceKm: 10, costPerKm: 30 },
  },
  input,
  run,
});
