import * as z from 'zod/mini';
import { daysBetween } from '../days';
import { defineCalculator, rowRule } from '../calculator';
import { FRAMES } from '../bicycle';
import { minorUnits } from '../fields';
import { SALE_STATES, USES } from './saleStates';
import { quantileSorted, roundHalfUp, roundTo } from '../numbers';
import { row, type WorkingRow } from '../verdict';

/** What a bicycle is sold as; each is left open where nobody knows it. */
const like = z.strictObject({
  frame: z.optional(z.enum(FRAMES)),
  use: z.optional(z.enum(USES)),
  sizeMm: z.optional(z.number().check(z.gte(250), z.lte(720))),
  state: z.optional(z.enum(SALE_STATES)),
});
export type Like = z.output<typeof like>;

const sale = z.strictObject({
  ...like.shape,
  id: z.string().check(z.maxLength(64)),
  label: z.string().check(z.maxLength(120)),
  price: minorUnits,
  soldOn: z._default(z.nullable(z.iso.date()), null),
});

const input = rowRule(
  z.strictObject({
    sales: z.array(sale).check(z.maxLength(6000)),
    today: z.iso.date(),
    wanted: z.prefault(like, {}).check(z.describe('what is to be sold; sales that are known to differ are left out')),
  }),
  ({ sales, today }) =>
    sales.flatMap(({ soldOn }, i) =>
      soldOn !== null && soldOn > today
        ? [{ path: ['sales', i, 'soldOn'], message: `sold on ${soldOn}, which is after ${today}: put the day right` }]
        : [],
    ),
);

export interface Comparables {
  range: { low: number; likely: number; high: number } | null;
  used: { id: string; price: number; weight: number }[];
  leftOut: { id: string; price: number; why: string }[];
  verdict: 'many' | 'few' | 'none';
  reasons: string[];
  working: WorkingRow[];
}

/** A sale of a year ago counts half. */
const HALF_LIFE_DAYS = 365;
/** A sale without a day is taken as one of a year ago. */
const UNDATED_HALVINGS = 1;
/** Sales further from the median than this many scaled absolute deviations are left out. */
const MOST_DEVIATIONS = 3.5;
const MAD_TO_SIGMA = 1.4826;
/** Two bicycles of one sort differ by that share in price anyway: what lies closer is never called unlike. */
const LEAST_DEVIATION_SHARE = 0.1;
const MANY_FROM = 5;
/** Under so many nothing can be said of what the next one fetches. */
const ENOUGH_FROM = 3;
/** Sizes further apart fit another rider. */
const LIKE_SIZE_MM = 40;
/** What nobody knows of a sale may be otherwise: it counts half for each. */
const UNKNOWN_WEIGHS = 0.5;

/** Why a sale is not of a like bicycle; null where nothing is known against it. */
function unlike(sold: Like, wanted: Like): string | null {
  if (sold.frame && wanted.frame && sold.frame !== wanted.frame) return 'another kind of frame';
  if (sold.use && wanted.use && sold.use !== wanted.use) return 'another class of bicycle';
  if (sold.sizeMm && wanted.sizeMm && Math.abs(sold.sizeMm - wanted.sizeMm) > LIKE_SIZE_MM) return 'another size';
  if (sold.state && wanted.state && sold.state !== wanted.state) return 'sold in another state';
  return null;
}

/** How much of what is wanted is known of a sale, as a weight. */
function knownWeight(sold: Like, wanted: Like): number {
  const fields = ['frame', 'use', 'sizeMm', 'state'] as const;
  const unknown = fields.filter((field) => wanted[field] !== undefined && sold[field] === undefined);
  return UNKNOWN_WEIGHS ** unknown.length;
}
/** One unit of the currency, in minor ones. */
const WHOLE = 100;

/** A range as people say prices: whole units, never narrower than it was reckoned. */
function outward(low: number, likely: number, high: number): { low: number; likely: number; high: number } {
  const middle = roundHalfUp(likely / WHOLE) * WHOLE;
  return {
    low: Math.min(Math.floor(low / WHOLE) * WHOLE, middle),
    likely: middle,
    high: Math.max(Math.ceil(high / WHOLE) * WHOLE, middle),
  };
}

/** Quantile of weighted values: where half the weight, or any share of it, lies below; between values linear. */
function weightedQuantile(values: { price: number; weight: number }[], q: number): number {
  const sorted = [...values].sort((a, b) => a.price - b.price);
  const whole = sorted.reduce((sum, each) => sum + each.weight, 0);
  let sum = 0;
  const at = sorted.map((each) => {
    const middle = (sum + each.weight / 2) / whole;
    sum += each.weight;
    return middle;
  });
  if (q <= at[0]!) return sorted[0]!.price;
  for (let i = 1; i < sorted.length; i++)
    if (q <= at[i]!) {
      const share = (q - at[i - 1]!) / (at[i]! - at[i - 1]!);
      return sorted[i - 1]!.price + share * (sorted[i]!.price - sorted[i - 1]!.price);
    }
  return sorted.at(-1)!.price;
}

/**
 * What a bicycle may fetch, from sold ones: the likely is the weighted median (a sale a year old counts half), low and high
 * the weighted tenth and ninetieth hundredths, widened when there are few. Sales over 3.5 scaled absolute deviations (a tenth
 * of the median at least) from the median are left out and named. The range is given in whole units, rounded outward.
 * A sale that is known to be of another kind, class, size or state is left out; what nobody knows of it halves its weight.
 * With one or two that is not enough, and the range stays wide.
 *
 * Units: minor units. Errors: a price below nought, a sale after today. Source: robust statistics (median, median absolute deviation).
 * Example: 260, 290, 300, 310, 1200 → 1200 left out, likely 295.
 */
function run({ sales: all, today, wanted }: z.output<typeof input>): Comparables {
  const others = all.flatMap((each) => {
    const why = unlike(each, wanted);
    return why ? [{ id: each.id, price: each.price, why }] : [];
  });
  const isOther = new Set(others.map(({ id }) => id));
  const sales = all.filter(({ id }) => !isOther.has(id));
  if (sales.length === 0)
    return {
      range: null,
      used: [],
      leftOut: others,
      verdict: 'none',
      reasons: [
        others.length > 0
          ? `No like one among ${others.length}: each differs in kind, class, size or state.`
          : 'No sold one to compare with yet: sold prices, not asked ones.',
      ],
      working: [],
    };
  const sorted = sales.map((each) => each.price).sort((a, b) => a - b);
  const median = quantileSorted(sorted, 0.5);
  const scaled =
    MAD_TO_SIGMA *
    quantileSorted(
      sorted.map((price) => Math.abs(price - median)).sort((a, b) => a - b),
      0.5,
    );
  const deviation = Math.max(scaled, LEAST_DEVIATION_SHARE * median);
  const isOut = (price: number) =>
    sales.length >= 4 && deviation > 0 && Math.abs(price - median) > MOST_DEVIATIONS * deviation;
  const halvings = (soldOn: string | null) =>
    soldOn === null ? UNDATED_HALVINGS : daysBetween(soldOn, today) / HALF_LIFE_DAYS;
  const alike = sales.filter((each) => !isOut(each.price));
  // Against the newest of them: sales of long ago weigh little against today's, and all the more against one another.
  const fewest = Math.min(...alike.map(({ soldOn }) => halvings(soldOn)));
  const weighed = alike.map((each) => ({
    price: each.price,
    weight: 2 ** (fewest - halvings(each.soldOn)) * knownWeight(each, wanted),
  }));
  const used = alike.map((each) => ({
    id: each.id,
    price: each.price,
    weight: 2 ** -halvings(each.soldOn) * knownWeight(each, wanted),
  }));
  const far = sales
    .filter((each) => isOut(each.price))
    .map(({ id, price }) => ({ id, price, why: 'too far from the others to be the same sort of bicycle' }));
  const leftOut = [...others, ...far];
  const likely = weightedQuantile(weighed, 0.5);
  const few = used.length < MANY_FROM;
  const enough = used.length >= ENOUGH_FROM;
  const spread = few ? Math.max((enough ? 0.2 : 0.35) / Math.sqrt(used.length), 0.08) * likely : 0;
  const low = Math.min(weightedQuantile(weighed, 0.1), likely - spread);
  const high = Math.max(weightedQuantile(weighed, 0.9), likely + spread);
  return {
    range: outward(Math.max(0, low), likely, high),
    used,
    leftOut,
    verdict: few ? 'few' : 'many',
    reasons: [
      !enough
        ? `Only ${used.length === 1 ? 'one like sale' : `${used.length} like sales`}: under three, that is not enough to go by, and the range stays wide.`
        : few
          ? `Only ${used.length} like sales: the range is kept wide.`
          : `${used.length} like sales; the middle eight tenths of them.`,
      ...(others.length > 0
        ? [
            `${others.length === 1 ? 'One is' : `${others.length} are`} left out: of another kind, class, size or state.`,
          ]
        : []),
      ...(far.length > 0
        ? [`${far.length === 1 ? 'One is' : `${far.length} are`} left out: too far from the others.`]
        : []),
    ],
    working: [
      row('n', 'sales counted', used.length),
      row('m', 'median of all', roundTo(median / 100, 2)),
      row('d', 'scaled absolute deviation, a tenth of the median at least', roundTo(deviation / 100, 2)),
      row('½', 'half weight after', HALF_LIFE_DAYS, 'days'),
    ],
  };
}

export const buyComparables = defineCalculator({
  id: 'buy.comparables',
  title: 'What a bicycle may fetch, from sold ones',
  example: {
    sales: [26000, 29000, 30000, 31000, 120000].map((price, i) => ({ id: `s${i}`, label: `sold ${i}`, price })),
    today: '2026-11-27',
  },
  input,
  run,
});
