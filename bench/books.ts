import { NOTHING_LEARNT } from '@/core/money/learnt';
import { ceilingOf, finishedIn, heldBy, hiddenShop, knownBy, learntBy } from '../tests/hiddenShop';
import { line } from './line';

const SHOPS = 60;
const LEADS = 6;
const BICYCLES = 20;
const NOISES = [0.25, 0.35, 0.45] as const;

const mean = (list: readonly number[]) => list.reduce((sum, each) => sum + each, 0) / list.length;

/** What twenty finished bicycles of workshops with hidden habits do to the next ceilings, and whether the ranges that are promised hold. */
export function measureBooks(): void {
  const errors = Array.from({ length: SHOPS }, (_, seed) => {
    const shop = hiddenShop(seed + 1);
    const { learnt } = learntBy(finishedIn(shop, BICYCLES, seed + 1));
    const known = knownBy(shop);
    return Array.from({ length: LEADS }, (_lead, i) => {
      const lead = seed * LEADS + i + 1;
      const truth = ceilingOf(lead, known);
      return {
        untaught: Math.abs(ceilingOf(lead, NOTHING_LEARNT) - truth),
        taught: Math.abs(ceilingOf(lead, learnt) - truth),
      };
    });
  }).flat();
  const untaught = mean(errors.map((each) => each.untaught)) / 100;
  const taught = mean(errors.map((each) => each.taught)) / 100;
  line(
    `ceiling after ${BICYCLES} bicycles, ${SHOPS} shops, ${LEADS} leads each: error`,
    `${taught.toFixed(2)} of ${untaught.toFixed(2)}`,
    `${((100 * taught) / untaught).toFixed(0)} % of what it is unlearnt; aim 50 % at most`,
  );
  for (const noise of [null, ...NOISES]) {
    const sums = Array.from({ length: SHOPS }, (_, seed) => {
      const own = hiddenShop(seed + 1);
      const shop = noise === null ? own : { ...own, noise };
      return heldBy(shop, learntBy(finishedIn(shop, BICYCLES, seed + 1)).minutes, seed + 1);
    });
    const held = sums.reduce((sum, each) => sum + each.held, 0) / sums.reduce((sum, each) => sum + each.of, 0);
    line(
      `jobs within four in five, hidden noise ${noise ?? 'of 0.25 to 0.45 over all shops'}`,
      `${(100 * held).toFixed(1)} %`,
      'aim 70 to 90 %',
    );
  }
}
