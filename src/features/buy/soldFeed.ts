import { localDay } from '@/model/localDay';
import { z } from 'zod';
import type { BicycleKind } from '@/core/bicycle';
import { soldPrices } from '@/sim/soldPrices';

/** What the feed answers, as it is parsed again when it comes in. */
export const feedAnswer = z.strictObject({
  at: z.iso.datetime(),
  sales: z.array(
    z.strictObject({
      id: z.string().max(64),
      label: z.string().min(1).max(120),
      price: z.number().min(0).max(1_000_000_000),
      soldOn: z.iso.date(),
    }),
  ),
});
export type FeedAnswer = z.output<typeof feedAnswer>;

/** The stand-in's answer for a bicycle. */
export function soldFeed(kind: BicycleKind, now: Date): FeedAnswer {
  return { at: now.toISOString(), sales: soldPrices(kind, localDay(now)) };
}
