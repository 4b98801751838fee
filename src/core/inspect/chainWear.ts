import * as z from 'zod/mini';
import { ruleWords } from '../houseRules';
import { defineCalculator, rule } from '../calculator';
import { atLeast, moreThan, plainZero, roundTo } from '../numbers';
import { row, type Judged } from '../verdict';
import { chainPercent, likelierCount, miscount, PITCH_MM, RECOUNT_PERCENT } from './chainPitch';
import { chainWearTable } from './data/chainWear';

const NEAR_SHARE = 0.8;

/** The wear table's row for each class of chain; rows that share a class carry the same limits. */
const TABLE_CLASS = {
  'single-or-hub-gear': 'hub gear or coaster, 1/8 in',
  '5-8-speed': '5 to 8 speed derailleur',
  '9-10-speed': '9 speed derailleur',
  '11-speed': '11 speed derailleur',
  '12-speed': '12 speed derailleur',
} as const;

const percentLimit = z.number().check(z.gt(0), z.lte(5));

const shape = z
  .strictObject({
    chain: z.enum(['single-or-hub-gear', '5-8-speed', '9-10-speed', '11-speed', '12-speed']),
    pitches: z
      .optional(z.number().check(z.multipleOf(1), z.gte(6), z.lte(400)))
      .check(z.describe('pitches between the pins measured; a link pair is two')),
    lengthMm: z
      .optional(z.number().check(z.gt(0), z.lte(6000)))
      .check(z.describe('pin centre to pin centre under light tension')),
    renewEarly: z._default(z.boolean(), false).check(z.describe('the house rule: a chain near its limit is renewed')),
    readingErrorMm: z._default(z.number().check(z.gt(0), z.lte(10)), 0.5),
    gauge: z
      .optional(
        z.strictObject({
          dropsInAtPercent: z.number().check(z.gte(0), z.lte(5)),
          notAtPercent: z._default(z.nullable(z.number().check(z.gt(0), z.lte(5))), null),
        }),
      )
      .check(z.describe('a drop-in gauge: the figure that drops in, and the smallest that does not')),
    limits: z
      .optional(
        z.strictObject({
          replaceAtPercent: z.optional(percentLimit),
          proveCogsAtPercent: z.optional(percentLimit),
          cogsDoneAtPercent: z.optional(percentLimit),
        }),
      )
      .check(z.describe("the maker's own limits, which come before the table")),
  })
  .check(z.describe('Exactly one of (pitches and lengthMm) or gauge; the wear must lie between −0.5 and 5 %.'));

type Shape = z.output<typeof shape>;

const byRule = (value: Shape) => value.pitches !== undefined || value.lengthMm !== undefined;

let input = rule(shape, ['gauge'], (v) => !(byRule(v) && v.gauge), 'give the measured length or the gauge, not both');
input = rule(
  input,
  [],
  (v) => byRule(v) || v.gauge !== undefined,
  'measure 24 pitches with a rule, or say where the gauge drops in',
);
input = rule(
  input,
  ['lengthMm'],
  (v) => v.pitches === undefined || v.lengthMm !== undefined,
  'give the length over those pitches in millimetres',
);
input = rule(
  input,
  ['pitches'],
  (v) => v.lengthMm === undefined || v.pitches !== undefined,
  'give how many pitches that length spans; 12 link pairs are 24',
);
input = rule(
  input,
  ['pitches'],
  (v) => miscount(v.pitches!, v.lengthMm!) === null,
  (v) => miscount(v.pitches!, v.lengthMm!)!,
);
input = rule(
  input,
  ['gauge', 'notAtPercent'],
  (v) => v.gauge?.notAtPercent == null || moreThan(v.gauge.notAtPercent, v.gauge.dropsInAtPercent),
  (v) => `a gauge that drops in at ${v.gauge?.dropsInAtPercent} % cannot stay out at ${v.gauge?.notAtPercent} %`,
);
input = rule(
  input,
  ['limits'],
  (v) => {
    const limits = limitsFor(v);
    return atLeast(limits.prove, limits.chain) && atLeast(limits.done, limits.prove);
  },
  'put the limits in order: chain, prove the cogs, cogs done',
);

export type ChainWearInput = z.input<typeof shape>;
type ChainVerdict = 'replace-chain-and-cogs' | 'replace-chain-prove-cogs' | 'replace-chain' | 'near' | 'sound';

export interface ChainWear extends Judged<ChainVerdict> {
  percent: number | null;
  plusMinusPercent: number | null;
  limitPercent: number;
  usedShare: number;
}

function limitsFor(value: Pick<Shape, 'chain' | 'limits'>) {
  const found = chainWearTable.find((line) => line.drivetrainClass === TABLE_CLASS[value.chain])!;
  return {
    chain: value.limits?.replaceAtPercent ?? found.replaceAtPercent!,
    prove: value.limits?.proveCogsAtPercent ?? found.cassetteSuspectAtPercent!,
    done: value.limits?.cogsDoneAtPercent ?? found.cassetteDoneAtPercent!,
    source: found.source,
  };
}

/**
 * Wear of a chain from a rule or a drop-in gauge.
 *
 * percent = (length/(12.7·pitches) − 1)·100; plusMinus = readingError/(12.7·pitches)·100.
 * At or over the limits of its class: chain, prove the cogs, cogs done; near from 0.8 of the chain limit.
 * Over 2 % by a rule the verdict stands, and the first reason asks for a recount, with the count that would be plausible.
 * Where the house renews early, near is replaced.
 * A gauge replaces by the figure that drops in; it is near by the smallest figure that does not.
 *
 * Units: mm and percent. Errors: neither or both ways of measuring, a miscount (outside −0.5…5 %).
 * Source: ISO 9633 chains; workshop consensus for the limits. Example: 24 pitches at 306.9 mm are 0.69 % worn:
 * near the limit at 9 speeds, past it at 11.
 */
function run(reading: Shape): ChainWear {
  const limits = limitsFor(reading);
  const ruled = byRule(reading);
  const percent = ruled ? chainPercent(reading.pitches!, reading.lengthMm!) : reading.gauge!.dropsInAtPercent;
  const nearBy = ruled ? percent : (reading.gauge!.notAtPercent ?? percent);
  const plusMinus = ruled ? (reading.readingErrorMm / (PITCH_MM * reading.pitches!)) * 100 : null;

  const verdict: ChainVerdict = atLeast(percent, limits.done)
    ? 'replace-chain-and-cogs'
    : atLeast(percent, limits.prove)
      ? 'replace-chain-prove-cogs'
      : atLeast(percent, limits.chain)
        ? 'replace-chain'
        : atLeast(nearBy, NEAR_SHARE * limits.chain)
          ? reading.renewEarly
            ? 'replace-chain'
            : 'near'
          : 'sound';
  const isEarly = verdict === 'replace-chain' && !atLeast(percent, limits.chain);

  const shown = roundTo(percent, 2);
  const from = reading.limits?.replaceAtPercent === undefined ? 'the table' : 'the paper given';
  const reasons: string[] = [];
  if (ruled && moreThan(percent, RECOUNT_PERCENT)) {
    const count = likelierCount(reading.pitches!, reading.lengthMm!);
    reasons.push(
      `Count again: few chains are ${shown} % worn.${count === null ? ' Measure from pin to the same side of a pin.' : ` ${count} pitches?`}`,
    );
  }
  if (verdict === 'replace-chain-and-cogs')
    reasons.push(`${shown} % is past ${limits.done} %: a new chain will not run on these cogs.`);
  if (verdict === 'replace-chain-prove-cogs')
    reasons.push(`${shown} % is past ${limits.prove} %: change the chain and prove the cogs under load.`);
  if (isEarly)
    reasons.push(
      `${shown} % is not far from the ${limits.chain} % limit: renewed now, the cogs are saved.`,
      `House rule: ${ruleWords('chainRenewal', 'early').toLowerCase()}.`,
    );
  else if (verdict === 'replace-chain')
    reasons.push(`${shown} % has reached the ${limits.chain} % limit: changed now, the cogs are saved.`);
  if (verdict === 'near') {
    reasons.push(
      ruled
        ? `${shown} % is not far from the ${limits.chain} % limit: look again soon.`
        : `The gauge drops in at ${shown} %${reading.gauge!.notAtPercent ? ` and not at ${reading.gauge!.notAtPercent} %` : ''}: it may be near the ${limits.chain} % limit; measure 24 pitches.`,
    );
  }
  if (verdict === 'sound') reasons.push(`${shown} % is well under the ${limits.chain} % limit.`);
  if (plusMinus !== null) {
    const close = [limits.chain, limits.prove, limits.done].find((limit) =>
      atLeast(plusMinus, Math.abs(percent - limit)),
    );
    if (close !== undefined && reading.pitches! < 48) {
      reasons.push(
        `The reading is good to ±${roundTo(plusMinus, 2)} % and ${close} % lies within that: measure over 48 pitches.`,
      );
    }
  }
  reasons.push(`Limit ${limits.chain} % for this class, from ${from}.`);

  return {
    percent: ruled ? plainZero(percent) : null,
    plusMinusPercent: plusMinus,
    limitPercent: limits.chain,
    usedShare: Math.max(0, plainZero(percent / limits.chain)),
    verdict,
    reasons,
    working: [
      ...(ruled
        ? [
            row('L', 'length measured', reading.lengthMm!, 'mm'),
            row('p', 'pitches of 12.7 mm', reading.pitches!),
            row('w', 'wear = (L/(12.7·p) − 1)·100', roundTo(percent, 3), '%'),
            row('±', 'reading error/(12.7·p)·100', roundTo(plusMinus!, 3), '%'),
          ]
        : [row('g', 'gauge drops in at', percent, '%')]),
      row('lim', `replace the chain, from ${from} (${limits.source})`, limits.chain, '%'),
      row('lim₂', 'prove the cogs', limits.prove, '%'),
      row('lim₃', 'cogs done', limits.done, '%'),
    ],
  };
}

export const inspectChainWear = defineCalculator({
  id: 'inspect.chainWear',
  title: 'Chain wear',
  example: { chain: '9-10-speed', pitches: 24, lengthMm: 306.9 },
  input,
  run,
});
