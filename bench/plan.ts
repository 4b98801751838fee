import { plannedSessions } from '@/core/plan/sessions';
import { madeUpPlan, randomEarliestFit } from '../tests/planInstance';
import { keptPromises } from '../tests/planPromises';
import { line } from './line';

const SEEDS = [1, 2, 3, 4, 5, 6, 7, 8];
const ORDERS = 400;
const PROMISES = 40;

/** Sixty tasks over sixty sessions: how long, how far from the bound, and beside the best of four hundred random orders. */
export function measurePlan(): void {
  for (const tasks of [20, 60]) {
    let [slowest, gap, random, worse] = [0, 0, 0, 0];
    for (const seed of SEEDS) {
      const question = madeUpPlan(seed, tasks, 60);
      const from = performance.now();
      const plan = plannedSessions(question);
      slowest = Math.max(slowest, performance.now() - from);
      const best = Math.min(...Array.from({ length: ORDERS }, (_, i) => randomEarliestFit(question, seed * 1000 + i)));
      gap += plan.value / plan.lowerBound - 1;
      random += best / plan.value - 1;
      if (plan.value > best) worse += 1;
    }
    line(
      `plan of ${tasks} tasks over 60 sessions, slowest of ${SEEDS.length}`,
      `${slowest.toFixed(0)} ms`,
      'aim under 2000 ms',
    );
    line(
      '   above its lower bound, on average',
      `${((100 * gap) / SEEDS.length).toFixed(1)} %`,
      'the bound is a relaxation',
    );
    line(
      `   best of ${ORDERS} random orders, earliest-fit`,
      `${((100 * random) / SEEDS.length).toFixed(1)} % later`,
      `${worse} of ${SEEDS.length} were better than the plan; aim none`,
    );
  }
  const promises = Array.from({ length: PROMISES }, (_, seed) => keptPromises(seed + 1));
  const kept = promises.reduce((sum, each) => sum + each.kept, 0) / promises.reduce((sum, each) => sum + each.of, 0);
  line(
    'promises of four times in five that were kept',
    `${(100 * kept).toFixed(1)} %`,
    'aim 70 to 90 %; hidden times are not of the ranges',
  );
}
