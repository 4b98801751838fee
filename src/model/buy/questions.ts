import type { BuyAppraiseInput } from '@/core/buy/appraise';
import { MOST_TAUGHT } from '@/core/buy/doorLine';
import type { AppraiseInput } from '@/core/money/appraise';
import { emptyMap } from '@/core/own';
import type { Bicycle } from '../record';
import type { WorkshopSettings } from '../settings/settings';

/** What the workshop's other bicycles teach an appraisal. */
export interface Taught {
  door: Bicycle['door'];
  minutesAt: Record<string, number>;
}

/** What one bicycle teaches the next: its answers at the door, and the minutes of work put down by place. */
export function taughtBy(bicycle: Bicycle): Taught {
  const minutesAt = emptyMap<number>();
  for (const { place, stage, minutes } of bicycle.minutes)
    if (place && stage !== 'look-over') minutesAt[place] = (minutesAt[place] ?? 0) + minutes;
  return { door: bicycle.door, minutesAt };
}

/** What many bicycles teach of each line of the door check, small however many there are. */
export type Lessons = Record<string, { looked: number; bad: number; minutesAt: Record<string, number[]> }>;

/** Lessons gathered from what single bicycles teach, oldest first. */
export function gatherLessons(rows: Iterable<Taught>): Lessons {
  const lessons: Lessons = emptyMap();
  for (const { door, minutesAt } of rows)
    for (const [line, answer] of Object.entries(door)) {
      const lesson = (lessons[line] ??= { looked: 0, bad: 0, minutesAt: emptyMap() });
      lesson.looked += 1;
      if (answer !== 'bad') continue;
      lesson.bad += 1;
      for (const [place, minutes] of Object.entries(minutesAt))
        lesson.minutesAt[place] = [...(lesson.minutesAt[place] ?? []), minutes].slice(-MOST_TAUGHT);
    }
  return lessons;
}

/** What the seller said, by question, as far as it was asked. */
export function saidBySeller({ lead }: Pick<Bicycle, 'lead'>): Record<string, string> {
  const { kept, indoors, crashed, ridden } = lead;
  return Object.fromEntries(
    Object.entries({ kept, indoors, crashed, ridden }).flatMap(([question, answer]) =>
      answer === null ? [] : [[question, answer]],
    ),
  );
}

/** The question for `buy.appraise`. The travel counts until the bicycle is bought, and only where a distance is known. */
export function appraisalInput(bicycle: Bicycle, settings: WorkshopSettings, taught: Lessons): BuyAppraiseInput {
  const { asking, resale, otherCosts, target, confidence, lines } = bicycle.appraisal;
  const { distanceKm, costPerKm, haggle } = bicycle.lead;
  return {
    kind: bicycle.kind,
    door: bicycle.door,
    said: saidBySeller(bicycle),
    taught,
    forParts: bicycle.brief === 'donor',
    lines: lines.map(({ id, label, kind, chance, parts, minutes }) => ({ id, label, kind, chance, parts, minutes })),
    currency: settings.currency,
    asking,
    resale,
    otherCosts,
    labourPerHour: settings.labourPerHour,
    target,
    confidence,
    travel: bicycle.purchase || distanceKm === null ? null : { distanceKm, costPerKm, haggle },
  };
}

/** The question for `money.samples`, with the costs as the appraisal reckoned them. */
export function samplesInput(
  bicycle: Bicycle,
  settings: WorkshopSettings,
  costs: AppraiseInput['costs'],
): AppraiseInput {
  const { resale, otherCosts } = bicycle.appraisal;
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
