import { z } from 'zod';
import { defineCalculator } from '../calculator';
import { atLeast, floorForgiving, plainZero, roundHalfUp, roundTo } from '../numbers';
import { minorUnit, row, type WorkingRow } from '../verdict';
import { minorUnits } from '../fields';
import { appraiseShape, streamOf } from './appraise';
import { pertMean } from './pert';
import { uniformStream } from './streams';

const input = z.strictObject({
  appraisal: appraiseShape.describe('the question of money.appraise, as far as the advertisement tells'),
  travel: z.strictObject({
    distanceKm: z.number().min(0).max(3000).describe('one way'),
    costPerKm: minorUnits.describe('fuel or fare, minor units a kilometre'),
    speedKmh: z.number().min(3).max(300).default(50),
  }),
  haggle: z.number().min(0).max(0.6).default(0.1).describe('share of the asking price that usually comes off'),
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

/**
 * Whether a lead is worth the drive. In each trial the door shows which faults are there; at their mean costs the buyer buys
 * where what could be paid reaches the haggled price, else comes home with nothing. The drive is worth the mean of that gain
 * less fuel and the hours on the road at the wage wanted. At the door the travel is spent either way, so that it counts
 * here and never there.
 *
 * Units: minor units, kilometres, minutes. Errors: those of `money.appraise`. Source: expected value of information.
 * Example: a bicycle worth 100 more than asked, 10 km away at 0.30 a kilometre → go.
 */
function run({ appraisal, travel, haggle }: z.output<typeof input>): Drive {
  const { target, labourPerHour, trials, seed, currency } = appraisal;
  const wage = target.kind === 'profit' ? labourPerHour : target.amount;
  const profit = target.kind === 'profit' ? target.amount : 0;
  const price = appraisal.asking * (1 - haggle);
  const start =
    pertMean(appraisal.resale) * (1 - appraisal.fee.percent / 100) -
    appraisal.fee.fixed -
    appraisal.otherCosts -
    profit;
  const payable = new Float64Array(trials).fill(start);
  for (const line of appraisal.costs) {
    const cost = pertMean(line.parts) + (wage / 60) * pertMean(line.minutes);
    const next = uniformStream(seed, streamOf(line));
    for (let i = 0; i < trials; i++) {
      const happens = next() < line.chance;
      next();
      next();
      if (happens) payable[i] = payable[i]! - cost;
    }
  }
  let bought = 0;
  let gain = 0;
  for (const value of payable)
    if (value >= price) {
      bought++;
      gain += value - price;
    }
  const meanGain = gain / trials;
  const buyChance = bought / trials;
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
