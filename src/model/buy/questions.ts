import type { BuyAppraisal, BuyAppraiseInput } from '@/core/buy/appraise';
import type { ProposedJob } from '@/core/decide/jobs';
import type { LookOver } from '@/core/inspect/lookOver';
import type { AppraiseInput } from '@/core/money/appraise';
import { chargedShare } from '@/core/money/share';
import { asJob, decidedJob, otherJobs } from '../decide/decided';
import type { Job } from '../decide/part';
import type { Bicycle } from '../record';
import { workedMinutes } from '../work/hours';
import type { LearntInUse } from '@/core/money/learnt';
import { answersAtDoor } from './lessons';
import type { WorkshopSettings } from '../settings/settings';

/** What the seller said, by question, as far as it was asked. */
export function saidBySeller({ lead }: Pick<Bicycle, 'lead'>): Record<string, string> {
  const { kept, indoors, crashed, ridden } = lead;
  return Object.fromEntries(
    Object.entries({ kept, indoors, crashed, ridden }).flatMap(([question, answer]) =>
      answer === null ? [] : [[question, answer]],
    ),
  );
}

/** What is reckoned of a bicycle that its price hangs on. */
export interface KnownOf {
  lookOver: Pick<LookOver, 'findings'>;
  jobs: readonly ProposedJob[];
}

/** The drive to the seller is spent once one stands at the door, or has bought. */
export function isDriven({ door, purchase }: Pick<Bicycle, 'door' | 'purchase'>): boolean {
  return purchase !== null || Object.keys(door).length > 0;
}

type Decision = 'keep' | 'drop' | 'open';
const costOf = ({ id, title, place, done, minutes, parts }: Job, check: string | null, decision: Decision) => ({
  id,
  label: title,
  check,
  place,
  decision,
  done,
  minutes,
  parts,
});

/** Every job that may cost something: needed ones, decided on or not, and all that were kept or dropped. `tried` is a what-if. */
function jobCosts(bicycle: Bicycle, proposed: readonly ProposedJob[], tried: Readonly<Record<string, boolean>>) {
  // One way of doing it stands for the others.
  const taken = new Set(
    proposed.flatMap((job) =>
      job.alternatives && decidedJob(bicycle.jobs, job)?.decision === 'keep' ? [job.alternatives] : [],
    ),
  );
  const known = proposed.flatMap((job) => {
    const decided = decidedJob(bicycle.jobs, job);
    const row = decided ?? asJob(job);
    const isOpen = job.need === 'needed' && !(job.alternatives && taken.has(job.alternatives));
    const asIs = decided?.decision ?? (isOpen ? 'open' : null);
    const now: Decision | null = tried[row.id] === undefined ? asIs : tried[row.id] ? 'keep' : 'drop';
    return now ? [costOf(row, job.check, now)] : [];
  });
  const others = otherJobs(bicycle.jobs, proposed).map((job) => {
    const now = tried[job.id];
    return costOf(job, null, now === undefined ? job.decision : now ? 'keep' : 'drop');
  });
  return [...known, ...others];
}

/** What was seen of each check by more than a tap at the door. */
function seenOf({ findings }: KnownOf['lookOver']) {
  return findings.flatMap(({ check, state, heard, gone }) =>
    state === 'not-looked-at' || gone || heard?.from === 'door' ? [] : [{ check, state }],
  );
}

/**
 * The question for `buy.appraise`, which gives the one limit: everything that any stage knows of what it will cost. The travel
 * counts until one stands at the door, and only where a distance is known.
 */
export function appraisalInput(
  bicycle: Bicycle,
  settings: WorkshopSettings,
  learnt: LearntInUse,
  { lookOver, jobs }: KnownOf,
  tried: Readonly<Record<string, boolean>> = {},
): BuyAppraiseInput {
  const { asking, resale, otherCosts, target, confidence, lines } = bicycle.appraisal;
  const { distanceKm, costPerKm, haggle } = bicycle.lead;
  const onJobs: Record<string, number> = {};
  for (const { job, minutes } of bicycle.minutes) if (job) onJobs[job] = (onJobs[job] ?? 0) + minutes;
  return {
    kind: bicycle.kind,
    door: answersAtDoor(bicycle),
    said: saidBySeller(bicycle),
    learnt,
    forParts: bicycle.brief === 'donor',
    lines: lines.map(({ id, label, kind, chance, parts, minutes }) => ({ id, label, kind, chance, parts, minutes })),
    checks: lookOver.findings.filter(({ gone }) => !gone).map(({ check }) => check),
    seen: seenOf(lookOver),
    jobs: jobCosts(bicycle, jobs, tried),
    bought: bicycle.lines.map((line) => ({
      label: line.label,
      charged: chargedShare(line),
      job: line.job ?? null,
      consumable: line.kind === 'consumable',
    })),
    worked: { minutes: workedMinutes(bicycle), onJobs },
    currency: settings.currency,
    asking,
    paid: bicycle.purchase?.paid ?? null,
    resale,
    otherCosts,
    labourPerHour: settings.labourPerHour,
    target,
    confidence,
    travel: isDriven(bicycle) || distanceKm === null ? null : { distanceKm, costPerKm, haggle },
  };
}

/** The question for `money.samples`, with costs and resale as the appraisal reckoned them. */
export function samplesInput(
  settings: WorkshopSettings,
  { costs, terms: { resale, otherCosts } }: Pick<BuyAppraisal, 'costs' | 'terms'>,
): AppraiseInput {
  // What a slider moves stays out of the question, so that a drag asks nothing.
  return {
    currency: settings.currency,
    asking: 0,
    resale,
    otherCosts,
    costs,
    target: { kind: 'profit', amount: 0 },
  };
}
