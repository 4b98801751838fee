import type { Held } from '../fields';
import type { CostLine, Lead, part } from './part';

/** The ordinary work that every bicycle takes, in the sum from the start; it leaves only on purpose. Faults come from the door check. */
export const USUAL_COSTS: CostLine[] = [
  {
    id: 'ordinary',
    label: 'Ordinary work: wash, cables, tune, consumables, photographs, listing',
    kind: 'standing',
    chance: 1,
    parts: { low: 1200, likely: 2000, high: 3200 },
    minutes: { low: 200, likely: 260, high: 330 },
  },
];

/** A lead of which nothing is known; fuel at a usual rate. */
export const NO_LEAD: Lead = {
  advert: '',
  kept: null,
  indoors: null,
  crashed: null,
  ridden: null,
  papers: null,
  distanceKm: null,
  costPerKm: 25,
  haggle: 0.1,
};

export const fresh = (): Held<typeof part> => ({
  lead: NO_LEAD,
  door: {},
  features: {},
  appraisal: {
    asking: null,
    resale: { low: 0, likely: 0, high: 0 },
    otherCosts: 0,
    target: { kind: 'hourly', amount: 1500 },
    confidence: 0.8,
    lines: USUAL_COSTS,
  },
  purchase: null,
  comparables: [],
});
