import * as z from 'zod/mini';
import { parseTable, provenance } from '../../table';
import reactionsJson from './chainReactions.json';
import faultsJson from './faultJobs.json';
import rulesJson from './jobRules.json';

export const NEEDS = ['needed', 'advised', 'cosmetic', 'alternative', 'leave'] as const;
export type Need = (typeof NEEDS)[number];

export const jobRuleRow = z.strictObject({
  id: z.string(),
  /** `{label}` stands for the check's own. */
  title: z.string(),
  place: z.string(),
  /** Empty: for the brief alone. `*`: any check. */
  check: z.nullable(z.string()),
  /** Verdicts or outcomes that call it, with a bar between. */
  verdicts: z.nullable(z.string()),
  why: z.string(),
  /** Bicycles that it is for; empty for every one. */
  applies: z.nullable(z.string()),
  need: z.enum(NEEDS),
  briefs: z.string(),
  minutesLow: z.number(),
  minutesLikely: z.number(),
  minutesHigh: z.number(),
  partsLowMinor: z.number(),
  partsLikelyMinor: z.number(),
  partsHighMinor: z.number(),
  /** Jobs of one group stand in each other's stead. */
  alternatives: z.nullable(z.string()),
  /** Jobs that come along, with a bar between. */
  brings: z.nullable(z.string()),
  ...provenance,
});
export type JobRule = z.output<typeof jobRuleRow>;

export const chainReactionRow = z.strictObject({
  job: z.string(),
  applies: z.nullable(z.string()),
  words: z.string(),
  brings: z.nullable(z.string()),
  ...provenance,
});

/** The jobs that put a fault of the diagnosis right: where a finding asks for one of them, both ask for one job. */
export const faultJobRow = z.strictObject({ fault: z.string(), jobs: z.array(z.string()), ...provenance });

/** The rules that propose jobs; figures are a workshop's rules of thumb, in minor units of its own currency. */
export const jobRules = parseTable(jobRuleRow, rulesJson);
export const faultJobs = new Map(parseTable(faultJobRow, faultsJson).map(({ fault, jobs }) => [fault, jobs]));
export const chainReactions = parseTable(chainReactionRow, reactionsJson);
