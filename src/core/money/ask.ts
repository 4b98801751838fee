import * as z from 'zod/mini';
import { defineCalculator } from '../calculator';
import { roundHalfUp, roundTo } from '../numbers';
import { row, type WorkingRow } from '../verdict';

const input = z.strictObject({
  usual: z.number().check(z.gt(0), z.lte(100_000_000), z.describe('what such a bicycle fetched, minor units')),
  soldPerDay: z
    .number()
    .check(z.gt(0), z.lte(100), z.describe('how many a day would go at the usual price: one over the days')),
  steepness: z._default(z.number().check(z.gt(0), z.lte(100)), 10),
  fee: z._default(z.strictObject({ percent: z.number().check(z.gte(0), z.lt(100)) }), { percent: 0 }),
  heldPerDay: z
    .number()
    .check(z.gt(0), z.lte(10_000_000), z.describe('what a day on the floor costs, minor units, over nought')),
});

export interface Asked {
  /** In minor units. */
  ask: number;
  expectedDays: number;
  expectedNet: number;
  curve: { price: number; days: number; net: number }[];
  reasons: string[];
  working: WorkingRow[];
}

/** The curve is drawn from a half to one and a half of what is usual. */
const CURVE = { from: 0.5, to: 1.5, points: 41 };

/**
 * The price to ask: sold a day = soldPerDay·e^(−k·(p/usual − 1)); net = p·(1 − fee) − held/that. Its greatest lies where the last penny asked costs as
 * much waiting as it brings: p = usual·(1 + ln((1 − fee)·usual·soldPerDay/(held·k))/k), and never below nought.
 *
 * Units: minor units, days. Errors: nothing held, nothing sold. Source: expected wait at a rate that falls with the price; calculus. Example: 300.00, one in
 * 14 days, 10, no fee, 1.00 a day → 322.9.
 */
export const moneyAsk = defineCalculator({
  id: 'money.ask',
  title: 'The price to ask',
  example: { usual: 30_000, soldPerDay: 1 / 14, steepness: 10, fee: { percent: 0 }, heldPerDay: 100 },
  input,
  run({ usual, soldPerDay, steepness, fee, heldPerDay }): Asked {
    const keeps = 1 - fee.percent / 100;
    const days = (price: number) => Math.exp(steepness * (price / usual - 1)) / soldPerDay;
    const net = (price: number) => price * keeps - heldPerDay * days(price);
    const best = usual * (1 + Math.log((keeps * usual * soldPerDay) / (heldPerDay * steepness)) / steepness);
    const exact = Math.max(0, best);
    const ask = roundHalfUp(exact);
    const { from, to, points } = CURVE;
    return {
      ask,
      expectedDays: days(exact),
      expectedNet: net(exact),
      curve: Array.from({ length: points }, (_, i) => {
        const price = roundHalfUp(usual * (from + ((to - from) * i) / (points - 1)));
        return { price, days: days(price), net: net(price) };
      }),
      reasons: [
        ask > usual
          ? 'A place on the floor costs little beside what waiting brings: ask more than usual.'
          : 'A place on the floor is dear: ask less than usual, and it goes sooner.',
      ],
      working: [
        row('p', 'u·(1 + ln((1 − f)·u·s/(h·k))/k)', roundTo(exact / 100, 2)),
        row('d', 'days until it goes', roundTo(days(exact), 1)),
        row('n', 'p·(1 − f) − h·d', roundTo(net(exact) / 100, 2)),
      ],
    };
  },
});
