import { z } from 'zod';
import { defineCalculator } from '../calculator';
import { roundTo } from '../numbers';
import { row, type Judged } from '../verdict';
import { SPOKE_FEELS, type SpokeFeel } from './evidence';

/** A hand's scale of tension, in shares of what the others feel like; only differences are judged by it. */
const TENSION: Record<SpokeFeel, number> = { broken: 0, slack: 0.2, soft: 0.65, even: 1, hard: 1.35 };

const input = z.strictObject({
  pairs: z.array(z.enum(SPOKE_FEELS)).min(4).max(24).describe('pairs of neighbours squeezed, in order from the valve'),
});

export interface SpokeMap extends Judged<'even' | 'uneven' | 'slack' | 'broken'> {
  spreadPercent: number;
  /** Pairs that want a hand, by their number from the valve, counted from one. */
  odd: number[];
  /** Runs of neighbouring soft pairs: a flat spot or a struck rim rather than single nipples. */
  worstRun: number;
}

/**
 * A squeeze map: pairs of spokes squeezed round the wheel. Says whether the wheel is even, uneven, slack all over or has
 * a broken spoke, and which pairs to go to. A true wheel can still be slack: even tension matters as much as true.
 *
 * The spread is the coefficient of variation of a rough scale of the hand (slack 0.2, soft 0.65, even 1, hard 1.35).
 * Units: percent. Errors: fewer than four pairs. Source: workshop consensus.
 * Example: fifteen even pairs and one slack → uneven, pair to go to named.
 */
function run({ pairs }: z.output<typeof input>): SpokeMap {
  const tensions = pairs.map((feel) => TENSION[feel]);
  const middle = tensions.reduce((sum, value) => sum + value, 0) / tensions.length;
  const sd = Math.sqrt(tensions.reduce((sum, value) => sum + (value - middle) ** 2, 0) / tensions.length);
  const spreadPercent = middle === 0 ? 0 : (100 * sd) / middle;
  const odd = pairs.flatMap((feel, i) => (feel === 'even' ? [] : [i + 1]));
  const low = pairs.map((feel) => feel === 'soft' || feel === 'slack' || feel === 'broken');
  let worstRun = 0;
  for (let start = 0; start < low.length; start++) {
    let length = 0;
    while (length < low.length && low[(start + length) % low.length]) length++;
    worstRun = Math.max(worstRun, length);
  }
  const lowCount = low.filter(Boolean).length;
  const verdict = pairs.includes('broken')
    ? 'broken'
    : lowCount > pairs.length / 2
      ? 'slack'
      : odd.length > 0
        ? 'uneven'
        : 'even';
  const where = odd.length > 6 ? `${odd.length} pairs` : odd.map((at) => `pair ${at}`).join(', ');
  const reasons = {
    even: ['Every pair feels alike.'],
    uneven: [`Not alike: ${where}. Even tension matters as much as a true rim.`],
    slack: ['Slack all over: it may run true and still not last. Tension it whole, then true it.'],
    broken: [`A broken spoke (${where}): not ridden until it is renewed and its neighbours are looked at.`],
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
