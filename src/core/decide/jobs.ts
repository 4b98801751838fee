import * as z from 'zod/mini';
import { appliesTo, bicycleKind, BRIEFS } from '../bicycle';
import { defineCalculator } from '../calculator';
import type { Range } from '../fields';
import { chainReactions, jobRules, type JobRule, type Need } from './data/rules';

export type { Need };

const input = z.strictObject({
  brief: z.enum(BRIEFS),
  kind: z.prefault(bicycleKind, {}),
  findings: z
    .array(
      z.strictObject({
        check: z.string().check(z.maxLength(40)),
        label: z.string().check(z.maxLength(80)),
        place: z._default(z.string().check(z.maxLength(64)), 'frame'),
        verdict: z.nullable(z.string().check(z.maxLength(40))),
        outcome: z._default(z.nullable(z.string().check(z.maxLength(40))), null),
        reasons: z.array(z.string().check(z.maxLength(600))).check(z.maxLength(20)),
      }),
    )
    .check(z.maxLength(400)),
});
type Question = z.output<typeof input>;
type Found = Question['findings'][number];

export interface ProposedJob {
  rule: string;
  title: string;
  place: string;
  /** The check whose finding calls for it; null where the brief does. */
  check: string | null;
  why: string;
  /** The finding in words, so that a proposal can be argued with. */
  because: string;
  need: Need;
  minutes: Range;
  parts: Range;
  /** Proposals of one group stand in each other's stead. */
  alternatives: string | null;
  /** What comes along with it: words, and the job where there is one. */
  reactions: { words: string; brings: string | null }[];
}

function calls(rule: JobRule, finding: Found): boolean {
  if (rule.check !== '*' && rule.check !== finding.check) return false;
  const verdicts = rule.verdicts!.split('|');
  return [finding.verdict, finding.outcome].some((said) => said !== null && verdicts.includes(said));
}

function proposal(rule: JobRule, finding: Found | null, { brief, kind }: Question): ProposedJob {
  const any = rule.check === '*';
  return {
    rule: any ? `${rule.id}:${finding!.check}` : rule.id,
    title: any ? rule.title.replace('{label}', finding!.label.toLowerCase()) : rule.title,
    place: any ? finding!.place : rule.place,
    check: finding?.check ?? null,
    why: rule.why,
    because: finding ? `${finding.label}: ${finding.reasons[0] ?? finding.verdict}` : `Brief: ${brief}.`,
    need: rule.need,
    minutes: { low: rule.minutesLow, likely: rule.minutesLikely, high: rule.minutesHigh },
    parts: { low: rule.partsLowMinor, likely: rule.partsLikelyMinor, high: rule.partsHighMinor },
    alternatives: rule.alternatives,
    reactions: chainReactions
      .filter((reaction) => reaction.job === rule.id && appliesTo(kind, reaction.applies))
      .map(({ words, brings }) => ({ words, brings })),
  };
}

/** A rule of the table as a job, for what a chain reaction brings. */
export function jobOfRule(id: string, question: Pick<Question, 'brief' | 'kind'>): ProposedJob | null {
  const rule = jobRules.find((each) => each.id === id);
  return rule && rule.check !== '*' ? proposal(rule, null, { ...question, findings: [] }) : null;
}

/**
 * Jobs proposed from findings and brief. A rule speaks when its check has one of its verdicts or outcomes and the brief is
 * one of its own, and the bicycle is one that it is for; rules without a check speak for the brief alone. What a needed job brings with it is proposed too. A
 * donor is broken for parts and gets nothing else.
 *
 * Units: minor units, minutes. Errors: an unknown brief. Source: the tables of rules and reactions, workshop consensus.
 * Example: cogs that a chain has worn → "Renew the cogs", and with them the chain.
 */
function run(question: Question): { jobs: ProposedJob[] } {
  const jobs = jobRules.flatMap((rule) => {
    if (!rule.briefs.split('|').includes(question.brief) || !appliesTo(question.kind, rule.applies)) return [];
    if (!rule.check) return [proposal(rule, null, question)];
    const found = question.findings.filter((finding) => calls(rule, finding));
    return (rule.check === '*' ? found : found.slice(0, 1)).map((finding) => proposal(rule, finding, question));
  });
  const known = new Set(jobs.map((job) => job.rule));
  for (const job of [...jobs]) {
    if (job.need !== 'needed') continue;
    for (const { words, brings } of job.reactions) {
      const along = brings && !known.has(brings) ? jobOfRule(brings, question) : null;
      if (
        !along ||
        !jobRules
          .find((rule) => rule.id === brings)!
          .briefs.split('|')
          .includes(question.brief)
      )
        continue;
      known.add(along.rule);
      jobs.push({ ...along, need: 'advised', because: `${job.title}: ${words}` });
    }
  }
  return { jobs };
}

export const decideJobs = defineCalculator({
  id: 'decide.jobs',
  title: 'Jobs proposed from the findings',
  example: {
    brief: 'rideable',
    findings: [{ check: 'chain', label: 'Chain', verdict: 'replace-chain', reasons: [] }],
  },
  input,
  run,
});
