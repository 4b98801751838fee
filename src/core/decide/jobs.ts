import * as z from 'zod/mini';
import { appliesTo, bicycleKind, BRIEFS } from '../bicycle';
import { defineCalculator } from '../calculator';
import type { Range } from '../fields';
import { faultJob } from './faultJob';
import { grouped } from '../grouped';
import { diagnosisFaults } from '../inspect/data/diagnosis';
import { chainReactions, faultJobs, jobRules, type JobRule, type Need } from './data/rules';

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
  complaints: z
    ._default(
      z
        .array(
          z.strictObject({
            id: z.string().check(z.maxLength(64)),
            said: z.string().check(z.maxLength(600)),
            fault: z.string().check(z.maxLength(60)),
          }),
        )
        .check(z.maxLength(40)),
      [],
    )
    .check(z.describe('what the rider said, with the fault that it was traced to')),
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
  /** What else asks for the same job: another finding, what the rider said. */
  also: string[];
  /** Other ids under which this job may have been decided. */
  aka: string[];
  need: Need;
  minutes: Range;
  parts: Range;
  /** Proposals of one group stand in each other's stead. */
  alternatives: string | null;
  /** What comes along with it: words, and the job where there is one. */
  reactions: { words: string; brings: string | null }[];
}

/** A job that stood on a look, once something closer asks for the same. */
const BY_EYE = ['by-eye-service', 'by-eye-replace', 'by-eye-unsafe'];

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
    also: [],
    aka: finding && !any ? BY_EYE.map((state) => `${state}:${finding.check}`) : [],
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
  return rule && rule.check !== '*' ? proposal(rule, null, { ...question, findings: [], complaints: [] }) : null;
}

/** Jobs of one name at one place are one job, as needed as the gravest of them, with all that asks for it. */
function merged(jobs: ProposedJob[]): ProposedJob[] {
  const alike = grouped(jobs, ({ title, place, need }) => [place, title, need === 'leave'].join());
  return [...alike.values()].map((same) => {
    const [first, ...rest] = same.toSorted((a, b) => Number(b.need === 'needed') - Number(a.need === 'needed'));
    return {
      ...first!,
      also: [...first!.also, ...rest.flatMap(({ because, also }) => [because, ...also])],
      aka: [...first!.aka, ...rest.flatMap(({ rule, aka }) => [rule, ...aka])],
    };
  });
}

/** What the rider said joins the job that a finding asks for, or asks for one of its own: one job, both reasons, one price. */
function withComplaints(jobs: ProposedJob[], { complaints }: Question): ProposedJob[] {
  const all = [...jobs];
  for (const { said, fault } of complaints) {
    const words = `The rider says: “${said}”`;
    const ids = faultJobs.get(fault) ?? [];
    const at = all.findIndex(
      ({ rule, aka }) => ids.includes(rule) || aka.includes(faultJob(fault)) || rule === faultJob(fault),
    );
    if (at >= 0) {
      const known = all[at]!;
      all[at] = { ...known, also: [...known.also, words], aka: [...new Set([...known.aka, faultJob(fault)])] };
      continue;
    }
    const row = diagnosisFaults.find(({ id }) => id === fault);
    if (!row) continue;
    all.push({
      rule: faultJob(fault),
      title: row.fix,
      place: row.place,
      check: null,
      why: `${row.label}: that is what it was traced to.`,
      because: words,
      also: [],
      aka: [],
      need: 'needed',
      minutes: { low: row.minutesLow, likely: row.minutesLikely, high: row.minutesHigh },
      parts: { low: row.partsLowMinor, likely: row.partsLikelyMinor, high: row.partsHighMinor },
      alternatives: null,
      reactions: [],
    });
  }
  return all;
}

/**
 * Jobs proposed from findings and brief. A rule speaks when its check has one of its verdicts or outcomes and the brief is
 * one of its own, and the bicycle is one that it is for; rules without a check speak for the brief alone. What a needed job brings with it is proposed too. A
 * donor is broken for parts and gets nothing else. Findings and complaints that ask for one job make one job.
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
  const all = merged(jobs);
  return { jobs: question.brief === 'donor' ? all : withComplaints(all, question) };
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
