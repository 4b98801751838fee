import * as z from 'zod/mini';
import { parseTable, provenance } from '../../table';
import { WORK } from '../work';
import json from './work.json';

const minutes = z.number().check(z.gte(0));

export const workRow = z.strictObject({
  kind: z.enum(WORK),
  minutesLow: minutes,
  minutesLikely: minutes,
  minutesHigh: minutes,
  /** Minutes more for each part. */
  perPart: minutes,
  waitMin: minutes,
  maxWaitMin: z.nullable(minutes),
  /** What there is one of; null where it takes nothing of the kind. */
  uses: z.nullable(z.enum(['bath', 'stand'])),
  holds: z.enum(['yes', 'no']),
  /** Greasy hands: before clean work of one session. */
  dirty: z.enum(['yes', 'no']),
  /** Long ones may be gone on with in another session. */
  splits: z.enum(['long', 'no']),
  ...provenance,
});
export const work = parseTable(workRow, json);
