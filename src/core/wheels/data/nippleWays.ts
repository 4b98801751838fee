import * as z from 'zod/mini';
import { parseTable, provenance } from '../../table';
import nippleWaysJson from './nippleWays.json';

const figure = z.number();

/** What may be done with a wheel whose nipples spoil: minutes and parts at once, and for each nipple that it counts. */
export const nippleWays = parseTable(
  z.strictObject({
    id: z.string(),
    title: z.string(),
    why: z.string(),
    minutesLow: figure,
    minutesLikely: figure,
    minutesHigh: figure,
    eachMinutesLow: figure,
    eachMinutesLikely: figure,
    eachMinutesHigh: figure,
    partsLowMinor: figure,
    partsLikelyMinor: figure,
    partsHighMinor: figure,
    eachPartsLowMinor: figure,
    eachPartsLikelyMinor: figure,
    eachPartsHighMinor: figure,
    counts: z.enum(['expected', 'all', 'none']),
    works: figure,
    ...provenance,
  }),
  nippleWaysJson,
);
