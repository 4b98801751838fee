import type { Range } from '../fields';
import type { BuyAppraisal } from './appraise';

type Cost = BuyAppraisal['costs'][number];

export interface LimitChange {
  from: number;
  to: number;
  /** What moved it, weightiest first. */
  because: string[];
}

const MOST_TOLD = 3;

const mean = ({ low, likely, high }: Range): number => (low + 4 * likely + high) / 6;

/** What a line takes on average: parts, and minutes at a wage. */
function weight(cost: Cost | undefined, perMinute: number): number {
  return cost ? (cost.chance ?? 1) * (mean(cost.parts) + perMinute * mean(cost.minutes)) : 0;
}

/**
 * Why the limit is another than it was: the lines that came, went or changed, weightiest first, and what it may fetch or what
 * is wanted where these were put otherwise. Null where it is the same. Units: minor units.
 * Example: a hub tapped as bad → from 12800 to 10400, because of "Front hub rumbles or is loose".
 */
export function limitChange(
  before: Pick<BuyAppraisal, 'limit' | 'costs' | 'terms'>,
  after: Pick<BuyAppraisal, 'limit' | 'costs' | 'terms'>,
): LimitChange | null {
  const [from, to] = [before.limit.most, after.limit.most];
  if (from === null || to === null || from === to) return null;
  const perMinute = (after.terms.target.kind === 'hourly' ? after.terms.target.amount : after.terms.labourPerHour) / 60;
  const key = ({ id, label }: Cost) => id ?? label;
  const was = new Map(before.costs.map((cost) => [key(cost), cost]));
  const is = new Map(after.costs.map((cost) => [key(cost), cost]));
  const moved = [...new Set([...was.keys(), ...is.keys()])]
    .map((each) => ({
      label: (is.get(each) ?? was.get(each))!.label,
      by: weight(was.get(each), perMinute) - weight(is.get(each), perMinute),
    }))
    .filter(({ by }) => Math.abs(by) >= 1)
    .sort((a, b) => Math.abs(b.by) - Math.abs(a.by));
  // What moved it the way it went comes first.
  const along = moved.filter(({ by }) => by > 0 === to > from);
  const differs = (name: keyof BuyAppraisal['terms']) =>
    JSON.stringify(before.terms[name]) !== JSON.stringify(after.terms[name]);
  const terms = [
    ...(differs('resale') ? ['what it may fetch'] : []),
    ...(differs('target') || differs('labourPerHour') ? ['what is wanted for it'] : []),
    ...(differs('confidence') ? ['how sure to be'] : []),
    ...(differs('otherCosts') ? ['other costs'] : []),
  ];
  return { from, to, because: [...terms, ...along.map(({ label }) => label)].slice(0, MOST_TOLD) };
}
