import type { BuyAppraiseInput } from '@/core/buy/appraise';
import type { AppraiseInput } from '@/core/money/appraise';
import type { Bicycle } from '../record';
import type { Lessons } from './lessons';
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
