import { defineCalculator } from '../calculator';
import { appraiseShape, moneyAppraise, drawProblem } from './appraise';

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
  lane: 'long',
  example: moneyAppraise.example,
  input: appraiseShape,
  run(problem) {
    const { net, minutes } = drawProblem(problem);
    return { net: Array.from(net), minutes: Array.from(minutes) };
  },
});
