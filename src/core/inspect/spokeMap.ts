import * as z from 'zod/mini';
import { defineCalculator, rule } from '../calculator';
import { roundTo } from '../numbers';
import { row, type Judged } from '../verdict';
import { SPOKE_FEELS, type SpokeFeel } from './evidence';

/** A hand's scale of tension, in shares of what the others feel like; only differences are judged by it. */
const TENSION: Record<SpokeFeel, number> = { broken: 0, slack: 0.2, soft: 0.65, even: 1, hard: 1.35 };

const shape = z.strictObject({
  pairs: z
    .array(z.enum(SPOKE_FEELS))
    .check(z.minLength(4), z.maxLength(24), z.describe('pairs of neighbours squeezed, in order from the valve')),
  sides: z
    .optional(z.array(z.enum(['left', 'right'])).check(z.maxLength(24)))
    .check(z.describe('which side each pair is of: a dished wheel is compared within its sides')),
});
const input = rule(
  shape,
  ['sides'],
  ({ pairs, sides }) => sides === undefined || sides.length === pairs.length,
  ({ pairs, sides }) => `${sides?.length} sides for ${pairs.length} pairs: say the side of each pair, or of none`,
);

export interface SpokeMap extends Judged<'even' | 'uneven' | 'slack' | 'broken'> {
  spreadPercent: number;
  /** Pairs that feel otherwise than most of their side, by their number from the valve, counted from one. */
  odd: number[];
  /** Runs of neighbouring pairs softer than most: a flat spot or a struck rim rather than single nipples. */
  worstRun: number;
}

/** What most pairs of a side feel like; of two as common, the one nearer to even. */
function usualOf(feels: SpokeFeel[]): SpokeFeel {
  const count = (feel: SpokeFeel) => feels.filter((each) => each === feel).length;
  const off = (feel: SpokeFeel) => Math.abs(TENSION[feel] - TENSION.even);
  return [...SPOKE_FEELS].sort((a, b) => count(b) - count(a) || off(a) - off(b))[0]!;
}

/** The longest run of marked pairs round the wheel. */
function longestRun(marked: boolean[]): number {
  let longest = 0;
  for (let start = 0; start < marked.length; start++) {
    let length = 0;
    while (length < marked.length && marked[(start + length) % marked.length]) length++;
    longest = Math.max(longest, length);
  }
  return longest;
}

/**
 * A squeeze map: pairs of spokes squeezed round the wheel. Says whether the wheel is even, uneven, slack all over or has
 * a broken spoke, and which pairs to go to. A true wheel can still be slack: even tension matters as much as true. A pair is
 * odd against most of its side; where a wheel is dished one side is softer by right.
 *
 * The spread is the coefficient of variation, within the sides, of a rough scale of the hand (slack 0.2, soft 0.65, even 1,
 * hard 1.35). Slack: most of a side is slack, or most of every side slack or soft.
 * Units: percent. Errors: fewer than four pairs, sides of other pairs. Source: workshop consensus.
 * Example: fifteen even pairs and one slack → uneven, pair to go to named.
 */
function run({ pairs, sides }: z.output<typeof input>): SpokeMap {
  const sideOf = (i: number) => sides?.[i] ?? 'both';
  const groups = new Map<string, SpokeFeel[]>();
  pairs.forEach((feel, i) => groups.set(sideOf(i), [...(groups.get(sideOf(i)) ?? []), feel]));
  const usual = new Map([...groups].map(([side, feels]) => [side, usualOf(feels)]));
  const mean = new Map(
    [...groups].map(([side, feels]) => [side, feels.reduce((sum, feel) => sum + TENSION[feel], 0) / feels.length]),
  );
  const shares = pairs.map((feel, i) => {
    const middle = mean.get(sideOf(i))!;
    return middle === 0 ? 0 : TENSION[feel] / middle - 1;
  });
  const spreadPercent = 100 * Math.sqrt(shares.reduce((sum, share) => sum + share ** 2, 0) / shares.length);
  const odd = pairs.flatMap((feel, i) => (feel === usual.get(sideOf(i)) ? [] : [i + 1]));
  const worstRun = longestRun(pairs.map((feel, i) => TENSION[feel] < TENSION[usual.get(sideOf(i))!]));
  const most = (feels: SpokeFeel[], those: SpokeFeel[]) =>
    feels.filter((feel) => those.includes(feel)).length > feels.length / 2;
  const isSlack =
    [...groups.values()].some((feels) => most(feels, ['slack', 'broken'])) ||
    [...groups.values()].every((feels) => most(feels, ['slack', 'soft', 'broken']));
  const verdict = pairs.includes('broken') ? 'broken' : isSlack ? 'slack' : odd.length > 0 ? 'uneven' : 'even';
  const broken = pairs.flatMap((feel, i) => (feel === 'broken' ? [i + 1] : []));
  const named = (list: number[]) =>
    list.length > 6 ? `${list.length} pairs` : list.map((at) => `pair ${at}`).join(', ');
  const allOver = sides === undefined && odd.length === 0 && pairs[0] !== 'even' ? `, all of them ${pairs[0]}` : '';
  const reasons = {
    even: [sides === undefined ? `Every pair feels alike${allOver}.` : 'Every pair feels like the others of its side.'],
    uneven: [`Not alike: ${named(odd)}. Even tension matters as much as a true rim.`],
    slack: ['Slack all over: it may run true and still not last. Tension it whole, then true it.'],
    broken: [`A broken spoke (${named(broken)}): not ridden until it is renewed and its neighbours are looked at.`],
  }[verdict];
  if (verdict !== 'even' && verdict !== 'slack' && worstRun >= 3)
    reasons.push(`${worstRun} soft pairs side by side: look there for a flat spot or a blow.`);
  return {
    spreadPercent: roundTo(spreadPercent, 3),
    odd,
    worstRun,
    verdict,
    reasons,
    working: [
      row('n', 'pairs squeezed', pairs.length),
      row('k', 'pairs that differ', odd.length),
      row('v', 'spread on the hand’s scale', roundTo(spreadPercent, 0), '%'),
      row('r', 'longest run of soft neighbours', worstRun),
    ],
  };
}

export const inspectSpokeMap = defineCalculator({
  id: 'inspect.spokeMap',
  title: 'A squeeze map of the spokes',
  example: { pairs: [...Array<'even'>(15).fill('even'), 'slack'] },
  input,
  run,
});
