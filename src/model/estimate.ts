import type { ProposedJob } from '@/core/decide/jobs';
import { roundHalfUp } from '@/core/numbers';
import type { Bicycle, Job, WorkshopSettings } from './record';

/** One line of an estimate, parts and work together, in minor units. */
export interface EstimateLine {
  id: string;
  title: string;
  because: string;
  need: 'needed' | 'advised' | 'cosmetic';
  low: number;
  high: number;
  approval: Job['approval'];
}

/** The ordinary work of a resale is no line of a customer's estimate. */
const NOT_FOR_CUSTOMERS = new Set(['ordinary', 'gears']);

function cost(job: Pick<Job, 'minutes' | 'parts'>, perHour: number) {
  return {
    low: roundHalfUp(job.parts.low + (job.minutes.low * perHour) / 60),
    high: roundHalfUp(job.parts.high + (job.minutes.high * perHour) / 60),
  };
}

/**
 * The lines of an estimate: what the findings ask for, and jobs put down by hand. A job that was dropped for another reason
 * than the owner's word, and one that stands in the stead of a kept one, is left out.
 */
export function estimateLines(bicycle: Bicycle, proposed: ProposedJob[], perHour: number): EstimateLine[] {
  const decided = new Map(bicycle.jobs.map((job) => [job.id, job]));
  const wanted = (id: string) => {
    const job = decided.get(id);
    return !job || job.decision === 'keep' || job.approval !== null;
  };
  const lines = proposed
    .filter((job) => !NOT_FOR_CUSTOMERS.has(job.rule) && wanted(job.rule))
    .flatMap((job): EstimateLine[] => {
      const known = decided.get(job.rule);
      const need = job.need === 'alternative' ? (known?.decision === 'keep' ? 'needed' : null) : job.need;
      if (need === null || need === 'leave') return [];
      return [
        {
          id: job.rule,
          title: job.title,
          because: job.because,
          need,
          ...cost(known ?? job, perHour),
          approval: known?.approval ?? null,
        },
      ];
    });
  const known = new Set(proposed.map((job) => job.rule));
  const own = bicycle.jobs
    .filter((job) => !known.has(job.id) && (job.decision === 'keep' || job.approval !== null))
    .map((job) => ({
      id: job.id,
      title: job.title,
      because: '',
      need: 'needed' as const,
      ...cost(job, perHour),
      approval: job.approval,
    }));
  return [...lines, ...own];
}

/** The estimate as plain text, for a message or a file. */
export function estimateText(bicycle: Bicycle, lines: EstimateLine[], settings: WorkshopSettings, day: string): string {
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
            return `- ${line.title}: ${say(line.low)} to ${say(line.high)}${word}`;
          }),
        ];
  };
  const needed = lines.filter((line) => line.need === 'needed');
  const sum = (side: 'low' | 'high') => needed.reduce((total, line) => total + line[side], 0);
  return [
    `Estimate: ${bicycle.name}`,
    `${settings.name}, ${day}${bicycle.customer ? `, for ${bicycle.customer}` : ''}`,
    ...part('needed', 'Needed'),
    ...part('advised', 'Advised'),
    ...part('cosmetic', 'For its looks'),
    '',
    `What is needed comes to ${say(sum('low'))} to ${say(sum('high'))}, parts and work.`,
    'Ranges, since some of it shows only when it is apart. Nothing beyond an approved line is done without asking again.',
    '',
  ].join('\n');
}
