import * as z from 'zod/mini';
import { defineCalculator, rule } from '../calculator';
import { ruleWords } from '../houseRules';
import type { Range } from '../fields';
import { roundHalfUp, roundTo } from '../numbers';
import { row, type Judged } from '../verdict';
import { nippleWays } from './data/nippleWays';
import { spokeCount } from './laced';

const count = z.number().check(z.multipleOf(1), z.gte(0), z.lte(48));
const shape = z.strictObject({
  spokes: spokeCount,
  spoilt: count.check(z.describe('rounded off so far, renewed or not')),
  tried: count.check(z.describe('nipples that a key was put on, the spoilt ones with them')),
  spoiltNipple: z._default(z.enum(['one', 'all']), 'one').check(z.describe('the rule of the house')),
});
const input = rule(
  shape,
  ['tried'],
  ({ spoilt, tried, spokes }) => spoilt <= tried && tried <= spokes,
  ({ spokes }) => `of ${spokes} nipples no more can be tried, nor spoilt than tried`,
);

export interface SpoiltWay {
  id: string;
  title: string;
  why: string;
  minutes: Range;
  /** In minor units. */
  parts: Range;
  works: number;
}
export interface Spoilt extends Judged<'go-on' | 'count'> {
  ways: SpoiltWay[];
  /** How many more will spoil if it goes on so. */
  expected: Range;
}

/** The third says that the next go too. */
const THIRD = 3;

/**
 * What a spoilt nipple says of the others, and what may be done: the share that spoils, from those that were tried (Beta with half a case either way), and by it
 * how many of the rest will, give or take its own spread. From the third on, or from the first where the house renews all, the ways are put beside
 * one another; `decide.weigh` weighs them with the hours.
 *
 * Units: nipples, minutes, minor units. Errors: more spoilt than tried, more tried than there are. Source: Beta-binomial; usual minutes. Example: 3 of 9 spoilt, 36 spokes → some 9 more.
 */
export const wheelsSpoilt = defineCalculator({
  id: 'wheels.spoilt',
  title: 'Nipples that spoil: one, or all',
  example: { spokes: 36, spoilt: 3, tried: 9 },
  input,
  run({ spokes, spoilt, tried, spoiltNipple }): Spoilt {
    const [a, b] = [spoilt + 0.5, tried - spoilt + 0.5];
    const rest = spokes - tried;
    const share = a / (a + b);
    const mean = rest * share;
    const sd = Math.sqrt((rest * share * (1 - share) * (a + b + rest)) / (a + b + 1));
    const expected = { low: Math.max(0, mean - sd), likely: mean, high: Math.min(rest, mean + sd) };
    const ways = nippleWays.map((way): SpoiltWay => {
      const times = (at: keyof Range) => (way.counts === 'all' ? spokes : way.counts === 'none' ? 0 : expected[at]);
      return {
        id: way.id,
        title: way.title,
        why: way.why,
        minutes: {
          low: Math.round(way.minutesLow + times('low') * way.eachMinutesLow),
          likely: Math.round(way.minutesLikely + times('likely') * way.eachMinutesLikely),
          high: Math.round(way.minutesHigh + times('high') * way.eachMinutesHigh),
        },
        parts: {
          low: roundHalfUp(way.partsLowMinor + times('low') * way.eachPartsLowMinor),
          likely: roundHalfUp(way.partsLikelyMinor + times('likely') * way.eachPartsLikelyMinor),
          high: roundHalfUp(way.partsHighMinor + times('high') * way.eachPartsHighMinor),
        },
        works: way.works,
      };
    });
    const isCounted = spoilt >= (spoiltNipple === 'all' ? 1 : THIRD);
    return {
      ways,
      expected,
      verdict: isCounted ? 'count' : 'go-on',
      reasons: [
        isCounted
          ? `${spoilt} of ${tried} spoilt: of the other ${rest} about ${Math.round(mean)} will too. Count before going on.`
          : spoilt === 0
            ? 'None has spoilt.'
            : `${spoilt} of ${tried} spoilt: renewed by itself, one at a time with the tyre off.`,
        ...(isCounted && spoilt < THIRD
          ? [`By the house rule ${ruleWords('spoiltNipple', 'all').toLowerCase()}.`]
          : []),
      ],
      working: [
        row('p', '(spoilt + ½) / (tried + 1)', roundTo(100 * share, 0), '%'),
        row('m', 'more, if it goes on so', roundTo(mean, 1)),
      ],
    };
  },
});
