import type { ProposedJob } from '@/core/decide/jobs';
import { learntMinutes, NOTHING_LEARNT, type LearntInUse } from '@/core/money/learnt';
import { roundHalfUp } from '@/core/numbers';
import { decidedJob, otherJobs } from './decided';
import type { Job } from './part';
import type { Bicycle } from '../record';
import type { WorkshopSettings } from '../settings/settings';

/** One line of an estimate, parts and work together, in minor units. */
export interface EstimateLine {
  id: string;
  title: string;
  because: string;
  /** Asked: put down by hand, which says nothing of the road. */
  need: 'needed' | 'asked' | 'advised' | 'cosmetic';
  /** It holds work that no rate is set for. */
  unpriced: boolean;
  low: number;
  high: number;
  approval: Job['approval'];
}

/** What a complaint led to calls for itself; what was put down by hand was asked for. */
const FROM_COMPLAINT = 'fault-';

/** The ordinary work of a resale is no line of a customer's estimate. */
const NOT_FOR_CUSTOMERS = new Set(['ordinary', 'gears']);

function cost(job: Pick<Job, 'minutes' | 'parts' | 'place'>, perHour: number, learnt: LearntInUse) {
  const minutes = learntMinutes(job.minutes, job.place, learnt);
  return {
    low: roundHalfUp(job.parts.low + (minutes.low * perHour) / 60),
    high: roundHalfUp(job.parts.high + (minutes.high * perHour) / 60),
    unpriced: perHour === 0 && minutes.high > 0,
  };
}

/**
 * The lines of an estimate: what the findings ask for, and jobs put down by hand. A job that was dropped for another reason
 * than the owner's word, and one that stands in the stead of a kept one, is left out.
 */
export function estimateLines(
  bicycle: Bicycle,
  proposed: ProposedJob[],
  perHour: number,
  learnt: LearntInUse = NOTHING_LEARNT,
): EstimateLine[] {
  const wanted = (job: Job | undefined) => !job || job.decision === 'keep' || job.approval !== null;
  const lines = proposed
    .filter((job) => !NOT_FOR_CUSTOMERS.has(job.rule) && wanted(decidedJob(bicycle.jobs, job)))
    .flatMap((job): EstimateLine[] => {
      const known = decidedJob(bicycle.jobs, job);
      const need = job.need === 'alternative' ? (known?.decision === 'keep' ? 'needed' : null) : job.need;
      if (need === null || need === 'leave') return [];
      return [
        {
          id: known?.id ?? job.rule,
          title: job.title,
          because: [job.because, ...job.also].join(' '),
          need,
          ...cost(known ?? job, perHour, learnt),
          approval: known?.approval ?? null,
        },
      ];
    });
  const own = otherJobs(bicycle.jobs, proposed)
    .filter((job) => job.decision === 'keep' || job.approval !== null)
    .map((job) => ({
      id: job.id,
      title: job.title,
      because: '',
      need: job.id.startsWith(FROM_COMPLAINT) ? ('needed' as const) : ('asked' as const),
      ...cost(job, perHour, learnt),
      approval: job.approval,
    }));
  return [...lines, ...own];
}

/** How much of the bicycle an estimate rests on. */
export interface LookedAt {
  looked: number;
  of: number;
}

/** What a line costs, in words: never "to nothing". Example: 0 to 1,200 is "up to EUR 12.00". */
export function priceWords(
  { low, high, unpriced }: Pick<EstimateLine, 'low' | 'high' | 'unpriced'>,
  say: (minor: number) => string,
) {
  const work = unpriced ? ' and work' : '';
  if (high === 0) return unpriced ? 'work, not priced' : 'without charge';
  if (low === high) return `${say(high)}${work}`;
  return low === 0 ? `up to ${say(high)}${work}` : `${say(low)} to ${say(high)}${work}`;
}

export const lookedWords = ({ looked, of }: LookedAt): string =>
  looked === of
    ? `All ${of} places were looked at.`
    : `${looked} of ${of} places were looked at: what was not may add to it.`;

export const NO_RATE = 'No hour of work has a price yet: this holds parts only.';

/** The estimate as plain text, for a message or a file. */
export function estimateText(
  bicycle: Bicycle,
  lines: EstimateLine[],
  settings: WorkshopSettings,
  day: string,
  looked: LookedAt,
): string {
  const say = (minor: number) => `${settings.currency} ${(minor / 100).toFixed(2)}`;
  const part = (need: EstimateLine['need'], title: string) => {
    const rows = lines.filter((line) => line.need === need);
    return rows.length === 0
      ? []
      : [
          '',
          title,
          ...rows.map((line) => {
            const word = line.approval ? (line.approval.answer === 'yes' ? ' [approved]' : ' [declined]') : '';
            return `- ${line.title}: ${priceWords(line, say)}${word}`;
          }),
        ];
  };
  const needed = lines.filter((line) => line.need === 'needed');
  const sum = (side: 'low' | 'high') => needed.reduce((total, line) => total + line[side], 0);
  return [
    `Estimate: ${bicycle.name}`,
    `${settings.name}, ${day}${bicycle.customer ? `, for ${bicycle.customer}` : ''}`,
    lookedWords(looked),
    ...(settings.customerPerHour === 0 ? [NO_RATE] : []),
    ...part('needed', 'Needed: it should not go on the road without these'),
    ...part('asked', 'Asked for'),
    ...part('advised', 'Advised'),
    ...part('cosmetic', 'For its looks'),
    '',
    needed.length === 0
      ? 'Nothing is needed before it goes on the road, as far as it was looked at.'
      : `What is needed comes to ${priceWords({ low: sum('low'), high: sum('high'), unpriced: false }, say)}, ${settings.customerPerHour === 0 ? 'parts only' : 'parts and work'}.`,
    'Ranges, since some of it shows only when it is apart. Nothing beyond an approved line is done without asking again.',
    '',
  ].join('\n');
}
