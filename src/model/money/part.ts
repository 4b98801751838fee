import * as z from 'zod/mini';
import { minorUnits } from '@/core/fields';
import { type Held, id, label } from '../fields';
import { fields, rows } from '../leaf';

export const moneyLine = z.strictObject({
  id,
  label,
  kind: z.enum(['part', 'consumable', 'other']),
  paid: minorUnits,
  packQty: z.number().check(z.gt(0), z.lte(1_000_000)),
  usedQty: z.number().check(z.gte(0), z.lte(1_000_000)),
  /** The job that it was bought for, where it was for one. */
  job: z.optional(id),
});
export type MoneyLine = z.output<typeof moneyLine>;

/** What it fetched, and on which day. */
export const sale = z.strictObject({ price: z.nullable(minorUnits), fee: minorUnits, on: z.nullable(z.iso.date()) });

/** What was paid for it, and what it fetched. */
export const part = {
  lines: rows(z.array(moneyLine), { most: 1000, words: 'money lines', where: 'Hand over' }),
  sale: fields(sale, { words: 'the sale' }),
};

export const fresh = (): Held<typeof part> => ({ lines: [], sale: { price: null, fee: 0, on: null } });
