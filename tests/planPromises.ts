import { answer } from '@/core/calculator';
import { uniformStream } from '@/core/money/streams';
import { compiled } from '@/core/plan/compile';
import { planPromise } from '@/core/plan/promise';
import { plannedSessions } from '@/core/plan/sessions';
import { Placer } from '@/core/plan/schedule';
import { madeUpPlan } from './planInstance';

/**
 * Promises of made-up workshops against how it really went: the real minutes are not drawn from the plan’s ranges but from two-sided exponential noise of a spread that the
 * ranges do not know, with a habit of the shop that they miss by a tenth either way. How many promises were kept, of how many.
 */
export function keptPromises(seed: number): { kept: number; of: number } {
  const question = madeUpPlan(seed, 24, 60);
  const plan = plannedSessions(question);
  const next = uniformStream(seed, 'how it went');
  const habit = 0.9 + next() * 0.2;
  const spread = 0.25 + next() * 0.2;
  const ranges = Object.fromEntries(
    question.tasks.map(({ id, minutes }) => [id, { low: minutes * 0.64, likely: minutes, high: minutes * 1.57 }]),
  );
  const order = plan.plan.map(({ task, fromMin }) => ({ task, fromMin }));
  const said = answer(planPromise, { question, plan: order, ranges, draws: 400 });
  if (!said.ok) throw new Error(JSON.stringify(said.errors));
  const problem = compiled(question);
  const at = new Map(question.tasks.map((task, i) => [task.id, i]));
  const sequence = [...new Set(order.map(({ task }) => at.get(task)!))];
  let [kept, of] = [0, 0];
  for (let world = 0; world < 12; world++) {
    const minutes = Float64Array.from(question.tasks, (task) => {
      const u = next() - 0.5;
      const noise = (-Math.sign(u) * Math.log(Math.max(1e-9, 1 - 2 * Math.abs(u))) * spread) / Math.SQRT2;
      return Math.max(1, Math.round(task.minutes * habit * Math.exp(noise)));
    });
    const longest = Math.max(...question.sessions.map(({ fromMin, toMin }) => toMin - fromMin));
    const placer = new Placer({
      ...problem,
      minutes,
      splits: problem.splits.map((splits, i) => splits || minutes[i]! > longest),
    });
    placer.measure(sequence);
    placer.readyTimes().forEach((time, b) => {
      const promise = said.output.promises[b]!;
      if (promise.byMin === null) return;
      of += 1;
      if (time <= promise.byMin) kept += 1;
    });
  }
  return { kept, of };
}
