import { z } from 'zod';
import { bearingsGrade, houseRules } from '../bearings/grade';
import { bicycleKind, BRIEFS, frontBrakeSurface, type BicycleKind, type Brief } from '../bicycle';
import { answer, defineCalculator, type Calculator } from '../calculator';
import { stateOf, type StateId } from '../vocabulary/vocabulary';
import type { WorkingRow } from '../verdict';
import { inspectChainWear } from './chainWear';
import { checksFor, evidence, RIM_HOLLOW, type Check, type Evidence } from './checks';
import { inspectCrankPlay } from './crankPlay';
import { inspectDisc } from './disc';
import { inspectWearLimit } from './wearLimit';

const input = z.strictObject({
  kind: bicycleKind.prefault({}),
  brief: z.enum(BRIEFS).default('rideable'),
  rules: houseRules.prefault({}),
  found: z
    .array(z.strictObject({ check: z.string().max(40), evidence }))
    .max(200)
    .describe('one entry a check; a check named twice: the last counts'),
});

export interface Finding {
  check: string;
  label: string;
  place: string;
  state: StateId;
  verdict: string | null;
  reasons: string[];
  working: WorkingRow[];
  /** What to do about evidence that cannot be judged, by field. */
  errors: { path: string; message: string }[];
}

type Judgement = Pick<Finding, 'state' | 'verdict' | 'reasons' | 'working' | 'errors'>;

const NOT_LOOKED: Judgement = {
  state: 'not-looked-at',
  verdict: null,
  reasons: ['Not looked at, which is not the same as fine.'],
  working: [],
  errors: [],
};

function judge<S extends z.ZodType, O extends { verdict: string; reasons: string[]; working: WorkingRow[] }>(
  calculator: Calculator<S, O>,
  question: unknown,
): Judgement {
  const result = answer(calculator, question);
  if (!result.ok) return { ...NOT_LOOKED, reasons: ['Not judged: the reading cannot be.'], errors: result.errors };
  const { verdict, reasons, working } = result.output;
  return { state: stateOf(calculator.id, verdict), verdict, reasons, working, errors: [] };
}

function judgeCheck(
  check: Check,
  seen: Evidence,
  bicycle: BicycleKind,
  brief: Brief,
  rules: z.output<typeof houseRules>,
): Judgement {
  switch (check.kind) {
    case 'outcome': {
      const outcome = check.outcomes.find((option) => option.id === seen.outcome);
      if (!outcome) return NOT_LOOKED;
      return { state: outcome.state, verdict: outcome.state, reasons: [outcome.why], working: [], errors: [] };
    }
    case 'bearing': {
      if (
        !['feel', 'play', 'grease', 'cup', 'cone', 'balls'].some(
          (key) => (seen[key as keyof Evidence] ?? 'unknown') !== 'unknown',
        )
      )
        return NOT_LOOKED;
      const { feel, play, grease, cup, cone, balls } = seen;
      return judge(bearingsGrade, {
        kind: check.bearing,
        place: check.place,
        feel,
        play,
        grease,
        cup,
        cone,
        balls,
        brief,
        rules,
      });
    }
    case 'surface':
      if (!seen.readingsMm?.length) return NOT_LOOKED;
      return frontBrakeSurface(bicycle) === 'disc'
        ? judge(inspectDisc, { readingsMm: seen.readingsMm, minimumMm: seen.minimumMm })
        : judge(inspectWearLimit, {
            ...RIM_HOLLOW,
            reading: Math.max(...seen.readingsMm),
          });
    case 'reading':
      if (!seen.readingsMm?.length) return NOT_LOOKED;
      return judge(inspectWearLimit, {
        ...check[frontBrakeSurface(bicycle) === 'disc' ? 'disc' : 'rim'],
        reading: Math.min(...seen.readingsMm),
      });
    case 'chain':
      if (seen.dropsInAtPercent !== undefined)
        return judge(inspectChainWear, {
          chain: bicycle.chain,
          gauge: { dropsInAtPercent: seen.dropsInAtPercent, notAtPercent: seen.notAtPercent ?? null },
        });
      if (seen.lengthMm === undefined) return NOT_LOOKED;
      return judge(inspectChainWear, { chain: bicycle.chain, pitches: seen.pitches, lengthMm: seen.lengthMm });
    case 'crank':
      if (!seen.left || !seen.right) return NOT_LOOKED;
      return judge(inspectCrankPlay, { left: seen.left, right: seen.right, crankType: bicycle.cranks });
  }
}

/**
 * The look-over of one bicycle: every check with its state, verdict, reasons and working. A check without evidence
 * stays "not looked at", which is not fine; evidence that cannot be is not judged and says what to do.
 *
 * Errors: words that no check knows. Source: the calculators named in each working.
 * Example: `found: []` gives twelve checks, all not looked at.
 */
function run({ kind, brief, rules, found }: z.output<typeof input>) {
  const latest = new Map(found.map((entry) => [entry.check, entry.evidence]));
  const findings: Finding[] = checksFor(kind).map((check) => {
    const seen = latest.get(check.id);
    const judgement = seen ? judgeCheck(check, seen, kind, brief, rules) : NOT_LOOKED;
    return { check: check.id, label: check.label, place: check.place, ...judgement };
  });
  const count = (state: StateId) => findings.filter((finding) => finding.state === state).length;
  return { findings, notLookedAt: count('not-looked-at'), unsafe: count('unsafe') };
}

export type LookOver = ReturnType<typeof run>;
export const inspectLookOver = defineCalculator({
  id: 'inspect.lookOver',
  title: 'The look-over of one bicycle',
  input,
  run,
});
