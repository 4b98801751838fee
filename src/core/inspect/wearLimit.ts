import * as z from 'zod/mini';
import { defineCalculator, rule } from '../calculator';
import { atLeast, roundTo } from '../numbers';
import { row, type Judged } from '../verdict';
import { wearLimits } from './data/wearLimits';

const shape = z
  .strictObject({
    part: z.string().check(z.minLength(1), z.maxLength(80)),
    check: z.string().check(z.minLength(1), z.maxLength(120)),
    reading: z.number().check(z.gte(0), z.lte(10_000), z.describe('in the unit of the row')),
    limits: z.optional(z.strictObject({ warn: z.optional(z.number()), renew: z.optional(z.number()) })),
  })
  .check(z.describe('part and check name a row of the wear limits that has figures'));

const rowFor = (v: { part: string; check: string }) =>
  wearLimits.find(
    (line) =>
      line.part === v.part && line.check === v.check && line.thresholdRenew !== null && line.thresholdWarn !== null,
  );

const input = rule(
  shape,
  ['check'],
  (v) => rowFor(v) !== undefined,
  (v) => `no limit is known for "${v.part}", "${v.check}"`,
);

export type WearLimitVerdict = 'sound' | 'near' | 'renew' | 'renew-before-riding';
export interface WearLimit extends Judged<WearLimitVerdict> {
  limit: number;
  unit: string;
}

/**
 * A reading against its row of the wear limits: past renew → renew (before riding, where the part is
 * safety-critical), past warn → near, else sound. At the limit counts as reached.
 *
 * Units: those of the row. Errors: a part or check that the table does not know, a negative reading.
 * Source: the wear limit table. Example: 1.8 mm of rim pad → renew before riding.
 */
function run(question: z.output<typeof shape>): WearLimit {
  const line = rowFor(question)!;
  const renew = question.limits?.renew ?? line.thresholdRenew!;
  const warn = question.limits?.warn ?? line.thresholdWarn!;
  const past = (limit: number) =>
    line.direction === 'renew_below' ? atLeast(limit, question.reading) : atLeast(question.reading, limit);
  const verdict: WearLimitVerdict = past(renew)
    ? line.safetyCritical === 'yes'
      ? 'renew-before-riding'
      : 'renew'
    : past(warn)
      ? 'near'
      : 'sound';
  const shown = `${roundTo(question.reading, 2)} ${line.unit}`;
  const direction = line.direction === 'renew_below' ? 'at or under' : 'at or over';
  const reasons =
    verdict === 'sound'
      ? [`${shown} is clear of the ${warn} ${line.unit} at which to watch it.`]
      : verdict === 'near'
        ? [`${shown} is ${direction} ${warn} ${line.unit}: near the ${renew} ${line.unit} at which it is renewed.`]
        : [`${shown} is ${direction} the limit of ${renew} ${line.unit}. ${line.whatBadMeans}.`];
  reasons.push(
    question.limits?.renew === undefined
      ? `Limit from the table (${line.source}); the part's own marking comes first.`
      : 'Limit as given with the part.',
  );
  return {
    verdict,
    limit: renew,
    unit: line.unit!,
    reasons,
    working: [
      row('x', 'reading', question.reading, line.unit!),
      row('w', `watch ${direction}`, warn, line.unit!),
      row('r', `renew ${direction} (${line.source}, confidence ${line.confidence})`, renew, line.unit!),
    ],
  };
}

export const inspectWearLimit = defineCalculator({
  id: 'inspect.wearLimit',
  title: 'A reading against its wear limit',
  example: { part: 'rim brake pad', check: 'rubber left beyond the holder or wear line', reading: 1.8 },
  input,
  run,
});
