import * as z from 'zod/mini';
import { defineCalculator, rule } from '../calculator';
import { currencyCode, minorUnits, workMinutes } from '../fields';
import { moreThan, roundHalfUp } from '../numbers';
import { minorUnit, row, type WorkingRow } from '../verdict';
import { chargedShare } from './share';

const quantity = z.number().check(z.lte(1_000_000));

const lineShape = z
  .strictObject({
    label: z.string().check(z.minLength(1), z.maxLength(120)),
    kind: z.enum(['part', 'consumable', 'other']),
    paid: minorUnits,
    packQty: z._default(quantity.check(z.gt(0)), 1).check(z.describe('how many the pack held')),
    usedQty: z
      ._default(quantity.check(z.gte(0)), 1)
      .check(z.describe('how many went into this bicycle, packQty at most')),
  })
  .check(z.describe('0 ≤ usedQty ≤ packQty'));

const line = rule(
  lineShape,
  ['usedQty'],
  (value) => !moreThan(value.usedQty, value.packQty),
  (value) => `${value.usedQty} used out of a pack of ${value.packQty}: count again, or enter another pack`,
);

const input = z.strictObject({
  currency: currencyCode,
  sale: z.nullable(minorUnits).check(z.describe('what the buyer paid; null while unsold')),
  fee: z._default(minorUnits, 0),
  purchase: minorUnits,
  lines: z.array(line).check(z.maxLength(1000)),
  minutes: z._default(workMinutes, 0),
  labourPerHour: z._default(minorUnits, 0),
});

export type ResultInput = z.input<typeof input>;

export interface MoneyResult {
  charged: number;
  stockLeft: number;
  labour: number;
  outlay: number;
  profit: number | null;
  margin: number | null;
  returnOnOutlay: number | null;
  hourly: number | null;
  working: WorkingRow[];
}

/**
 * What a bicycle earned.
 *
 * A line is charged paid·usedQty/packQty rounded half up; what is left stays in stock, so charged + left = paid.
 * labour = labourPerHour·minutes/60 rounded half up; outlay = purchase + Σ paid + fee;
 * profit = sale − fee − purchase − charged − labour; hourly = (sale − fee − purchase − charged)·60/minutes.
 *
 * Units: minor units and minutes. Errors: more used than the pack held. Null without a sale or at a zero divisor.
 * Source: bookkeeping. Example: 6 of a bag of 20 balls at 10.00 charges 3.00 and leaves 7.00.
 */
function run(books: z.output<typeof input>): MoneyResult {
  let charged = 0;
  let paid = 0;
  for (const item of books.lines) {
    charged += chargedShare(item);
    paid += item.paid;
  }
  const labour = roundHalfUp((books.labourPerHour * books.minutes) / 60);
  const outlay = books.purchase + paid + books.fee;
  const beforeLabour = books.sale === null ? null : books.sale - books.fee - books.purchase - charged;
  const profit = beforeLabour === null ? null : beforeLabour - labour;
  return {
    charged,
    stockLeft: paid - charged,
    labour,
    outlay,
    profit,
    margin: profit === null || !books.sale ? null : profit / books.sale,
    returnOnOutlay: profit === null || outlay === 0 ? null : profit / outlay,
    hourly: beforeLabour === null || books.minutes === 0 ? null : roundHalfUp((beforeLabour * 60) / books.minutes),
    working: [
      row('s', 'sale', books.sale ?? 'not sold', minorUnit(books.currency)),
      row('f', 'fee', books.fee, minorUnit(books.currency)),
      row('b', 'bought for', books.purchase, minorUnit(books.currency)),
      row('u', 'parts and consumables used: Σ paid·used/pack', charged, minorUnit(books.currency)),
      row('k', 'left in stock at what it cost: Σ paid − u', paid - charged, minorUnit(books.currency)),
      row('l', 'labour = rate·minutes/60', labour, minorUnit(books.currency)),
      row('P', 'profit = s − f − b − u − l', profit ?? 'not sold', minorUnit(books.currency)),
    ],
  };
}

export const moneyResult = defineCalculator({
  id: 'money.result',
  title: 'What it earned',
  example: {
    currency: 'EUR',
    sale: 18000,
    fee: 900,
    purchase: 9500,
    lines: [{ label: 'Balls', kind: 'part', paid: 1000, packQty: 20, usedQty: 6 }],
    minutes: 240,
    labourPerHour: 1500,
  },
  input,
  run,
});
