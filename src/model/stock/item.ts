import * as z from 'zod/mini';
import { CABLE_HEADS, CABLE_KINDS } from '@/core/cables/kinds';
import { minorUnits } from '@/core/fields';
import { at, id, label } from '../fields';

export const STOCK_STATES = ['new', 'good', 'worn'] as const;

/** Something in the drawer: where from, size, state, what it cost. */
export const stockItem = z.strictObject({
  id,
  label,
  /** Where on a bicycle it belongs. */
  place: id,
  size: z.string().check(z.maxLength(120)),
  state: z.enum(STOCK_STATES),
  /** Where it came from: a bicycle of this workshop, or words. */
  from: z.string().check(z.maxLength(200)),
  bicycle: z.nullable(id),
  quantity: z.number().check(z.gte(0), z.lte(1_000_000)),
  /** A length of cable, of which pieces are cut: what it is, how long each is, and the heads that it has. */
  cable: z.optional(
    z.strictObject({
      kind: z.enum(CABLE_KINDS),
      lengthMm: z.number().check(z.gt(0), z.lte(100_000)),
      heads: z.array(z.enum(CABLE_HEADS)).check(z.maxLength(2)),
    }),
  ),
  /** What one would fetch: a donor's cost is shared by it. */
  worth: minorUnits,
  /** What all of them cost; null where it follows from the donor's price. */
  cost: z.nullable(minorUnits),
  at,
  /** When the last one was used or thrown away. */
  goneAt: z.nullable(at),
});
export type StockItem = z.output<typeof stockItem>;
