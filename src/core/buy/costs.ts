import { own as ownOf } from '../own';
import type { AppraiseInput } from '../money/appraise';
import { doorFindings } from '../inspect/data/heard';
import type { Range } from '../fields';
import { grouped } from '../grouped';
import type { DoorLine } from './door';
import { DOOR_LINE, ORDINARY } from './doorLine';

type Cost = AppraiseInput['costs'][number];

/** A job as the sum needs it: what asks for it, and what was decided. */
export interface JobCost {
  id: string;
  label: string;
  /** The check whose finding asks for it; null where the brief, a complaint or a person does. */
  check: string | null;
  decision: 'keep' | 'drop' | 'open';
  done: boolean;
  minutes: Range;
  parts: Range;
}

/** What is known of a check from more than the door. */
export interface Seen {
  check: string;
  state: 'fine' | 'watch' | 'service' | 'replace' | 'unsafe';
}

/** What was bought for the bicycle, as far as it was used here, and the job that it was for. */
export interface Bought {
  label: string;
  charged: number;
  job: string | null;
  consumable: boolean;
}

/** Hours that were put down: all of them, and those on jobs. */
export interface Worked {
  minutes: number;
  onJobs: Record<string, number>;
}

const exactly = (n: number): Range => ({ low: n, likely: n, high: n });
const atLeast = ({ low, likely, high }: Range, n: number): Range => ({
  low: Math.max(low, n),
  likely: Math.max(likely, n),
  high: Math.max(high, n),
});

const checksOf = grouped(doorFindings, ({ line }) => line);

/** The checks of the look-over that a line of the door check speaks of, among those that the bicycle has. */
function checksAt(line: string, has: ReadonlySet<string>): string[] {
  return [...new Set((checksOf.get(line) ?? []).map(({ check }) => check))].filter((check) => has.has(check));
}

const isBad = ({ state }: Seen) => state === 'service' || state === 'replace' || state === 'unsafe';

/** What stands in the stead of a door line's own guess, once more is known. */
export type Deeper = 'jobs' | 'fine' | 'bad' | null;

/**
 * What a closer look made of a line of the door check: `jobs` where jobs answer for it, `fine` where everything that it
 * speaks of was looked at and is, `bad` where something is and no job answers; null where only the door tells.
 */
export function deeperOf(
  line: string,
  seen: ReadonlyMap<string, Seen>,
  jobs: readonly JobCost[],
  has: ReadonlySet<string>,
): Deeper {
  const checks = checksAt(line, has);
  const bad = checks.filter((check) => seen.has(check) && isBad(seen.get(check)!));
  const answered = jobs.some(
    ({ check, decision }) => check !== null && checks.includes(check) && (decision !== 'open' || bad.includes(check)),
  );
  if (answered) return 'jobs';
  if (bad.length > 0) return 'bad';
  return checks.length > 0 && checks.every((check) => seen.has(check)) ? 'fine' : null;
}

/** Jobs that count: kept ones, and needed ones that nobody has decided on, once more than a tap at the door asks for them. */
export function countedJobs(jobs: readonly JobCost[], seen: ReadonlyMap<string, Seen>): JobCost[] {
  return jobs.filter(
    ({ id, check, decision }) =>
      id !== ORDINARY && (decision === 'keep' || (decision === 'open' && (check === null || seen.has(check)))),
  );
}

/** A job’s hours and parts: what was put down and paid where it is known, else what is estimated. */
function jobCost(
  job: JobCost,
  spent: number | undefined,
  worked: number,
  untied: boolean,
): Pick<Cost, 'parts' | 'minutes'> {
  const paid = spent ?? (job.done && untied ? 0 : undefined);
  return {
    parts: paid === undefined ? job.parts : exactly(paid),
    minutes: job.done && worked > 0 ? exactly(worked) : atLeast(job.minutes, worked),
  };
}

/** Names are told apart, since each line draws from a stream of its own. */
function apart(costs: Cost[]): Cost[] {
  const names = grouped(costs, ({ label }) => label);
  return costs.map((cost) =>
    names.get(cost.label)!.length > 1 && cost.id
      ? { ...cost, label: `${cost.label} (${cost.id})`.slice(0, 120) }
      : cost,
  );
}

/**
 * Everything that the bicycle will cost beside its price, each thing once: the ordinary work, what the buyer added, jobs
 * where there are some, what was bought and worked already, and for the rest the door check with its chances.
 *
 * A job that is done counts with the hours and parts that were put down on it; hours beyond all that is done are a line of
 * their own. Units: minor units, minutes. Example: a hub found rough at the stand and its overhaul kept → the overhaul, and
 * no longer "Front hub rumbles or is loose" with its chance.
 */
export function allCosts({
  own,
  door,
  jobs,
  seen,
  has,
  bought,
  worked,
}: {
  own: Cost[];
  door: DoorLine[];
  jobs: readonly JobCost[];
  seen: ReadonlyMap<string, Seen>;
  has: ReadonlySet<string>;
  bought: readonly Bought[];
  worked: Worked;
}): Cost[] {
  const counted = countedJobs(jobs, seen);
  const onJob = grouped(
    bought.filter(({ job }) => job !== null && counted.some(({ id }) => id === job)),
    ({ job }) => job!,
  );
  const spentOn = new Map([...onJob].map(([job, rows]) => [job, rows.reduce((sum, { charged }) => sum + charged, 0)]));
  const untied = bought.filter(({ job }) => job === null || !spentOn.has(job));
  const ordinaryJob = jobs.find(({ id }) => id === ORDINARY);
  const standing = own.filter(({ id }) => id !== ORDINARY || ordinaryJob?.decision !== 'drop');
  const ordinary = standing.find(({ id }) => id === ORDINARY);
  const work: Cost[] = [...(ordinaryJob?.decision === 'keep' && !ordinary ? [ordinaryJob] : []), ...counted].map(
    (job) => ({
      id: job.id,
      label: job.label,
      kind: 'fault',
      chance: 1,
      ...jobCost(
        job,
        spentOn.get(job.id),
        ownOf(worked.onJobs, job.id) ?? 0,
        untied.some(({ consumable }) => !consumable),
      ),
    }),
  );
  // What the ordinary work takes of consumables is in its own line already.
  const consumables = untied.filter(({ consumable }) => consumable).reduce((sum, { charged }) => sum + charged, 0);
  const loose =
    untied.filter(({ consumable }) => !consumable).reduce((sum, { charged }) => sum + charged, 0) +
    Math.max(0, consumables - (ordinary?.parts.likely ?? 0));
  const done = counted
    .filter((job) => job.done)
    .reduce((sum, job) => sum + (ownOf(worked.onJobs, job.id) ?? job.minutes.likely), 0);
  const open = counted.filter((job) => !job.done).reduce((sum, job) => sum + (ownOf(worked.onJobs, job.id) ?? 0), 0);
  const beyond = worked.minutes - done - open - (ordinary?.minutes.likely ?? 0);
  const so: Cost[] = [
    ...(loose > 0
      ? [
          {
            id: 'bought',
            label: 'Other parts bought',
            kind: 'standing' as const,
            chance: 1,
            parts: exactly(loose),
            minutes: exactly(0),
          },
        ]
      : []),
    ...(beyond > 0
      ? [
          {
            id: 'worked',
            label: 'Hours beyond the estimates',
            kind: 'standing' as const,
            chance: 1,
            parts: exactly(0),
            minutes: exactly(beyond),
          },
        ]
      : []),
  ];
  const taken = new Set(own.map(({ label }) => label));
  const guesses = door
    .filter(({ id, label }) => !taken.has(label) && deeperOf(id, seen, jobs, has) !== 'jobs')
    .map(({ id, label, chance, parts, minutes }): Cost => ({
      id: `${DOOR_LINE}${id}`,
      label,
      kind: 'fault',
      chance,
      parts,
      minutes,
    }));
  return apart([...standing, ...work, ...so, ...guesses]);
}
