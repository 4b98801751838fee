import { z } from 'zod';
import { minorUnits } from '@/core/fields';
import { type Held, id, label } from '../fields';
import { fields, rows } from '../leaf';

export const moneyLine = z.strictObject({
  id,
  label,
  kind: z.enum(['part', 'consumable', 'other']),
  paid: minorUnits,
  packQty: z.number().gt(0).max(1_000_000),
  usedQty: z.number().min(0).max(1_000_000),
});
export type MoneyLine = z.output<typeof moneyLine>;

/** What it fetched, and on which day. */
export const sale = z.strictObject({ price: minorUnits.nullable(), fee: minorUnits, on: z.iso.date().nullable() });

/** What was paid for it, and what it fetched. */
export const part = {
  lines: rows(z.array(moneyLine), { most: 1000, words: 'money lines', where: 'Hand over' }),
  sale: fields(sale, { words: 'the sale' }),
};

export const fresh = (): Held<typeof part> => ({ lines: [], sale: { price: null, fee: 0, on: null } });
