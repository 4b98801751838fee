import * as z from 'zod/mini';
import { defineCalculator } from '../calculator';
import { minorUnits } from '../fields';
import { roundHalfUp, roundTo } from '../numbers';
import { row, type WorkingRow } from '../verdict';

const input = z.strictObject({
  scheme: z.enum(['none', 'all', 'margin']),
  percent: z._default(z.number().check(z.gte(0), z.lt(100)), 0),
  price: minorUnits,
  bought: z._default(minorUnits, 0),
});

export interface DealerTax {
  /** In minor units. */
  tax: number;
  net: number;
  words: string;
  working: WorkingRow[];
}

/** The tax within a price, without the words. */
export function dealerTax({
  scheme,
  percent = 0,
  price,
  bought = 0,
}: z.input<typeof input>): Pick<DealerTax, 'tax' | 'net'> {
  const base = scheme === 'none' ? 0 : scheme === 'all' ? price : Math.max(0, price - bought);
  const tax = roundHalfUp((base * percent) / (100 + percent));
  return { tax, net: price - tax };
}

const WORDS = {
  none: 'No dealer’s tax.',
  all: 'Tax on all of the price: it stands on the receipt.',
  margin: 'Tax on the margin alone: the receipt shows none, and says so.',
} as const;

/**
 * The dealer’s tax that lies within a selling price: none, on all of it, or on the margin over what was paid; base·percent/(100 + percent), to the minor
 * unit. Which scheme holds is the place’s rule and never guessed.
 *
 * Units: minor units, percent. Errors: none. Source: tax within a price. Example: 300.00 at 20 % on all → 50.00; on the margin over 180.00 → 20.00.
 */
export const sellTax = defineCalculator({
  id: 'sell.tax',
  title: 'Dealer’s tax within a price',
  example: { scheme: 'margin' as const, percent: 20, price: 30_000, bought: 18_000 },
  input,
  run(question): DealerTax {
    const { tax, net } = dealerTax(question);
    return {
      tax,
      net,
      words: WORDS[question.scheme],
      working: [
        row('t', 'base·percent/(100 + percent)', roundTo(tax / 100, 2)),
        row('n', 'price − t', roundTo(net / 100, 2)),
      ],
    };
  },
});
