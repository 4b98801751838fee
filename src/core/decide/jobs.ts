import { z } from 'zod';
import { BRIEFS } from '../bicycle';
import { defineCalculator } from '../calculator';
import { minorUnits, orderedRange, workMinutes } from '../fields';
import rulesJson from './rules.json';

const jobRule = z.strictObject({
  id: z.string(),
  title: z.string(),
  place: z.string(),
  when: z.strictObject({ check: z.string(), verdicts: z.array(z.string()) }).nullable(),
  why: z.string(),
  minutes: orderedRange(workMinutes),
  parts: orderedRange(minorUnits),
  need: z.enum(['needed', 'advised']),
  briefs: z.array(z.enum(BRIEFS)),
});

/** The rules that propose jobs; figures are a workshop's rules of thumb, in minor units of its own currency. */
export const jobRules = z.array(jobRule).parse(rulesJson);

const input = z.strictObject({
  brief: z.enum(BRIEFS),
  findings: z
    .array(
      z.strictObject({
        check: z.string().max(40),
        label: z.string().max(80),
        verdict: z.string().max(40).nullable(),
        reasons: z.array(z.string().max(600)).max(20),
      }),
    )
    .max(200),
});

export interface ProposedJob {
  rule: string;
  title: string;
  place: string;
  why: string;
  /** The rule in words, so that a proposal can be argued with. */
  because: string;
  need: 'needed' | 'advised';
  minutes: { low: number; likely: number; high: number };
  parts: { low: number; likely: number; high: number };
}

/**
 * Jobs proposed from findings and brief. A rule speaks when its check has one of its verdicts and the brief is one of
 * its own; rules without a finding speak for the brief alone. A donor is broken for parts and gets nothing else.
 *
 * Units: minor units, minutes. Errors: an unknown brief. Source: the rule table, workshop consensus.
 * Example: a chain at its limit, brief rideable → "Renew the chain".
 */
function run({ brief, findings }: z.output<typeof input>): { jobs: ProposedJob[] } {
  const jobs = jobRules.flatMap((rule) => {
    if (!rule.briefs.includes(brief)) return [];
    const finding =
      rule.when &&
      findings.find(
        (found) =>
          found.check === rule.when!.check && found.verdict !== null && rule.when!.verdicts.includes(found.verdict),
      );
    if (rule.when && !finding) return [];
    const because = finding ? `${finding.label}: ${finding.reasons[0] ?? finding.verdict}` : `Brief: ${brief}.`;
    const { id, when, briefs, ...job } = rule;
    void when;
    void briefs;
    return [{ rule: id, because, ...job }];
  });
  return { jobs };
}

export const decideJobs = defineCalculator({ id: 'decide.jobs', title: 'Jobs proposed from the findings', input, run });
