import { localDay } from '@/model/localDay';
import * as z from 'zod/mini';
import { FRAMES, type BicycleKind } from '@/core/bicycle';
import { SALE_STATES } from '@/core/buy/saleStates';
import { soldPrices } from '@/sim/soldPrices';

/** What the feed answers, as it is parsed again when it comes in. */
export const feedAnswer = z.strictObject({
  at: z.iso.datetime(),
  sales: z.array(
    z.strictObject({
      id: z.string().check(z.maxLength(64)),
      label: z.string().check(z.minLength(1), z.maxLength(120)),
      price: z.number().check(z.gte(0), z.lte(1_000_000_000)),
      soldOn: z.iso.date(),
      frame: z.enum(FRAMES),
      sizeMm: z.number(),
      state: z.enum(SALE_STATES),
    }),
  ),
});
export type FeedAnswer = z.output<typeof feedAnswer>;

/** The stand-in's answer for a bicycle. */
export function soldFeed(kind: BicycleKind, now: Date): FeedAnswer {
  return { at: now.toISOString(), sales: soldPrices(kind, localDay(now)) };
}
