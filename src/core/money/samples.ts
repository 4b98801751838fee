import { defineCalculator } from '../calculator';
import { appraiseShape, drawProblem } from './appraise';

/**
 * The trials behind an appraisal, so that a page can move a slider by arithmetic alone: what is left after fees, other costs
 * and parts, and the minutes of work, trial by trial.
 *
 * Units: minor units, minutes. Errors: those of `money.appraise`. Source: the same draws as `money.appraise`.
 * Example: with no costs, every `net` is one draw of the resale.
 */
export const moneySamples = defineCalculator({
  id: 'money.samples',
  title: 'The trials behind an appraisal',
  example: {
    currency: 'EUR',
    asking: 14000,
    resale: { low: 26000, likely: 30000, high: 34000 },
    costs: [
      {
        label: 'Tyres',
        chance: 0.6,
        parts: { low: 2400, likely: 3600, high: 6000 },
        minutes: { low: 25, likely: 35, high: 60 },
      },
    ],
    target: { kind: 'profit', amount: 5000 },
    trials: 1000,
  },
  input: appraiseShape,
  run(problem) {
    const { net, minutes } = drawProblem(problem);
    return { net: Array.from(net), minutes: Array.from(minutes) };
  },
});
