import * as z from 'zod/mini';
import { defineCalculator } from '../calculator';
import { roundTo } from '../numbers';
import { row, type WorkingRow } from '../verdict';

const money = z.number().check(z.gte(0), z.lte(1e9), z.describe('minor units'));
const km = z.number().check(z.gt(0), z.lte(1e6));

const input = z.strictObject({
  chain: money,
  cogs: money,
  chainKm: km.check(z.describe('what a chain runs when it is renewed early')),
  chainsPerCogs: z
    .number()
    .check(z.multipleOf(1), z.gte(1), z.lte(20), z.describe('chains that a set of cogs outlives so')),
  togetherKm: km.check(z.describe('what chain and cogs run when they are worn out together')),
});

export interface WearCost {
  /** Minor units a kilometre, unrounded. */
  earlyPerKm: number;
  togetherPerKm: number;
  /** How far chain and cogs together would have to run to cost the same. */
  breakEvenKm: number;
  cheaper: 'early' | 'together' | 'alike';
  working: WorkingRow[];
}

/**
 * Whether a chain is renewed early, so that the cogs last several chains, or ridden with its cogs to the end.
 *
 * early = (k·chain + cogs) / (k·km of a chain); together = (chain + cogs) / km of both; alike at (chain + cogs) / early.
 *
 * Units: minor units of money, km. Errors: kilometres of nought. Source: arithmetic. Example: 2500 and 6000, 3000 km, 4 chains, 7000 km →
 * 1.3333 against 1.2143, alike at 6375 km.
 */
export const driveWearCost = defineCalculator({
  id: 'drive.wearCost',
  title: 'Chains early, or all of it to the end',
  example: { chain: 2500, cogs: 6000, chainKm: 3000, chainsPerCogs: 4, togetherKm: 7000 },
  input,
  run({ chain, cogs, chainKm, chainsPerCogs, togetherKm }): WearCost {
    const earlyPerKm = (chainsPerCogs * chain + cogs) / (chainsPerCogs * chainKm);
    const togetherPerKm = (chain + cogs) / togetherKm;
    const apart = earlyPerKm - togetherPerKm;
    return {
      earlyPerKm,
      togetherPerKm,
      breakEvenKm: earlyPerKm === 0 ? 0 : (chain + cogs) / earlyPerKm,
      cheaper:
        Math.abs(apart) <= 1e-9 * Math.max(earlyPerKm, togetherPerKm) ? 'alike' : apart < 0 ? 'early' : 'together',
      working: [
        row('e', `(${chainsPerCogs}·chain + cogs) / (${chainsPerCogs}·${chainKm} km)`, roundTo(earlyPerKm, 4), 'a km'),
        row('t', `(chain + cogs) / ${togetherKm} km`, roundTo(togetherPerKm, 4), 'a km'),
      ],
    };
  },
});
