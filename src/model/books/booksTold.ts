import * as z from 'zod/mini';
import { WORK_KINDS } from '@/core/money/workKinds';

const money = z.number();
const range = z.strictObject({ low: z.number(), likely: z.number(), high: z.number() });

/** What a finished bicycle tells the books; in minor units and minutes. */
export const booksTold = z.strictObject({
  price: money,
  on: z.nullable(z.string()),
  bought: money,
  /** Charged to it: parts and consumables; the road; fees, tax and what came back. */
  parts: money,
  road: money,
  besides: money,
  /** Before anybody's hours are paid. */
  earned: money,
  minutes: z.number(),
  /** What was thought that it would fetch; null where nobody said. */
  predicted: z.nullable(range),
  /** Jobs whose minutes were both thought of and put down, by kind of work. */
  jobs: z.array(z.strictObject({ kind: z.enum(WORK_KINDS), estimateMin: range, actualMin: z.number() })),
  /** What the seller said: the advertisement's beginning, and the answers. */
  advert: z.string(),
  said: z.record(z.string(), z.string()),
  /** The ordinary work as it was expected, on average. */
  ordinary: z.strictObject({ parts: money, minutes: z.number() }),
  /** Why it came back, each time. */
  comebacks: z.array(z.strictObject({ cause: z.string(), minutes: z.number(), cost: money })),
});
export type BooksTold = z.output<typeof booksTold>;
