import type { BearingKind } from '../bearings/bearingKinds';
import { bearingsGrade } from '../bearings/grade';
import type { houseRules } from '../bearings/gradeRules';
import { kindAt, type BicycleKind, type Brief } from '../bicycle';
import { answer, type Calculator } from '../calculator';
import { roundTo } from '../numbers';
import type * as z from 'zod/mini';
import { stateOf } from '../vocabulary/verdicts';
import { stateLabel, type StateId } from '../vocabulary/vocabulary';
import { row, type WorkingRow } from '../verdict';
import { inspectChainWear } from './chainWear';
import { padLimit, RIM_HOLLOW, TYRE_GAP, WIDE_TYRE_GAP, type Check } from './check';
import type { Evidence } from './evidence';
import { inspectCrankPlay } from './crankPlay';
import { inspectDisc } from './disc';
import { inspectHanger } from './hanger';
import { inspectRimPlay, type RimPlay } from './rimPlay';
import { hangerQuestion, rimPlayQuestion, runoutOf, spokeMapQuestion } from './questions';
import { inspectRunout } from './runout';
import { inspectSpokeMap } from './spokeMap';
import { inspectTyreAge } from './tyreAge';
import { wearLimits } from './data/wearLimits';
import { inspectWearLimit } from './wearLimit';

export interface Judgement {
  state: StateId;
  verdict: string | null;
  /** The outcome that was chosen, where the check offers some. */
  outcome: string | null;
  reasons: string[];
  working: WorkingRow[];
  /** What to do about evidence that cannot be judged, by field. */
  errors: { path: string; message: string }[];
}

/** What a judgement leans on beside the evidence. */
export interface Bench {
  kind: BicycleKind;
  brief: Brief;
  rules: z.output<typeof houseRules>;
  frontBrakeHand: 'left' | 'right' | 'either';
  today: string | null;
  /** What sort of bearing is at each place; cup and cone where nothing says otherwise. */
  bearings?: ReadonlyMap<string, BearingKind>;
}

export const NOT_LOOKED: Judgement = {
  state: 'not-looked-at',
  verdict: null,
  outcome: null,
  reasons: ['Not looked at, which is not the same as fine.'],
  working: [],
  errors: [],
};

function judge<S extends z.ZodMiniType, O extends { verdict: string; reasons: string[]; working: WorkingRow[] }>(
  calculator: Calculator<S, O>,
  question: unknown,
): Judgement {
  const result = answer(calculator, question);
  if (!result.ok) return { ...NOT_LOOKED, reasons: ['Not judged: the reading cannot be.'], errors: result.errors };
  const { verdict, reasons, working } = result.output;
  return { state: stateOf(calculator.id, verdict), verdict, outcome: null, reasons, working, errors: [] };
}

/**
 * Judges several readings of one thing. A slip of the finger in one of them does not wipe what the others say: it is told as an
 * error, and the rest is judged. Example: discs read 1.72, then 17.5 by a slip → judged by 1.72.
 */
function judgeReadingsOf<
  S extends z.ZodMiniType,
  O extends { verdict: string; reasons: string[]; working: WorkingRow[] },
>(
  calculator: Calculator<S, O>,
  readings: readonly number[],
  question: (readings: readonly number[]) => unknown,
): Judgement {
  const whole = judge(calculator, question(readings));
  if (whole.errors.length === 0 || readings.length < 2) return whole;
  for (let slip = readings.length - 1; slip >= 0; slip--) {
    const rest = judge(calculator, question(readings.filter((_, at) => at !== slip)));
    if (rest.errors.length === 0)
      return {
        ...rest,
        reasons: [...rest.reasons, `Without the reading of ${readings[slip]} mm.`],
        errors: whole.errors,
      };
  }
  return whole;
}

function rimPlayOf(check: Check, movementMm: number, kind: BicycleKind): RimPlay | null {
  const question = rimPlayQuestion(check.place, movementMm, kind);
  const result = question && answer(inspectRimPlay, question);
  return result?.ok ? result.output : null;
}

function judgeBearing(check: Check, seen: Evidence, { kind, brief, rules, bearings }: Bench): Judgement {
  const rock = seen.rimMm === undefined ? null : rimPlayOf(check, seen.rimMm, kind);
  const play = seen.play ?? rock?.verdict;
  const known = [seen.feel, play, seen.grease, seen.cup, seen.cone, seen.balls].some(
    (value) => (value ?? 'unknown') !== 'unknown',
  );
  if (!known) return NOT_LOOKED;
  const { feel, grease, cup, cone, balls, seal } = seen;
  const judged = judge(bearingsGrade, {
    ...(bearings?.get(check.place) ?? { kind: 'cup-and-cone' }),
    place: check.place,
    feel,
    play,
    grease,
    cup,
    cone,
    balls,
    seal,
    brief,
    rules,
  });
  return {
    ...judged,
    reasons: [
      ...judged.reasons,
      ...(rock && rock.verdict !== 'none' ? [rock.reasons[0]!] : []),
      ...(seen.spinS === undefined ? [] : [`It spun for ${roundTo(seen.spinS, 1)} s: kept to compare with.`]),
    ],
    working: [...judged.working, ...(rock ? rock.working : [])],
  };
}

function judgeHand(seen: Evidence, hand: Bench['frontBrakeHand']): Judgement {
  if (seen.outcome !== 'left' && seen.outcome !== 'right') return NOT_LOOKED;
  const base = { outcome: seen.outcome, working: [row('h', 'hand of the front brake', seen.outcome)], errors: [] };
  if (hand === 'either')
    return {
      ...base,
      state: 'fine',
      verdict: 'as-wanted',
      reasons: [`The ${seen.outcome} hand works the front brake; no country is set in the house rules.`],
    };
  return seen.outcome === hand
    ? { ...base, state: 'fine', verdict: 'as-wanted', reasons: [`The ${hand} hand, as the house rules have it.`] }
    : {
        ...base,
        state: 'service',
        verdict: 'other-hand',
        reasons: [`The ${seen.outcome} hand works the front brake; the house rules say the ${hand}.`],
      };
}

/** What the readings of a check say, or null where there are none. */
function judgeReadings(check: Check, seen: Evidence, bench: Bench): Judgement | null {
  const { kind } = bench;
  switch (check.kind) {
    case 'reading':
      return seen.readingsMm?.length
        ? judgeReadingsOf(inspectWearLimit, seen.readingsMm, (readings) => ({
            ...limitAt(check, bench),
            reading: gravestReading(check, readings),
          }))
        : null;
    case 'rim-hollow':
      return seen.readingsMm?.length
        ? judgeReadingsOf(inspectWearLimit, seen.readingsMm, (readings) => ({
            ...RIM_HOLLOW,
            reading: Math.max(...readings),
          }))
        : null;
    case 'pads':
      return seen.readingsMm?.length
        ? judge(inspectWearLimit, {
            ...padLimit(kindAt(kind, check.place).brakes),
            reading: Math.min(...seen.readingsMm),
          })
        : null;
    case 'disc':
      return seen.readingsMm?.length
        ? judgeReadingsOf(inspectDisc, seen.readingsMm, (readingsMm) => ({ readingsMm, minimumMm: seen.minimumMm }))
        : null;
    case 'runout-rim':
    case 'runout-disc':
    case 'runout-ring':
      return (seen.readingsMm?.length ?? 0) >= 2
        ? judgeReadingsOf(inspectRunout, seen.readingsMm!, (readingsMm) => ({ of: runoutOf(check, kind), readingsMm }))
        : null;
    case 'hanger': {
      const question = hangerQuestion(kind, seen);
      return question && judge(inspectHanger, question);
    }
    case 'spokes': {
      const question = spokeMapQuestion(check.place, kind, seen);
      return question && judge(inspectSpokeMap, question);
    }
    case 'tyre-age':
      return seen.code && bench.today
        ? judge(inspectTyreAge, { code: seen.code, today: bench.today, renewAtAge: bench.rules.tyreAge === 'age' })
        : null;
    case 'chain':
      if (seen.dropsInAtPercent !== undefined)
        return judge(inspectChainWear, {
          chain: kind.chain,
          renewEarly: bench.rules.chainRenewal === 'early',
          gauge: { dropsInAtPercent: seen.dropsInAtPercent, notAtPercent: seen.notAtPercent ?? null },
        });
      return seen.lengthMm === undefined
        ? null
        : judge(inspectChainWear, {
            chain: kind.chain,
            renewEarly: bench.rules.chainRenewal === 'early',
            pitches: seen.pitches,
            lengthMm: seen.lengthMm,
          });
    case 'crank':
      return seen.left && seen.right
        ? judge(inspectCrankPlay, { left: seen.left, right: seen.right, crankType: kind.cranks })
        : null;
    default:
      return null;
  }
}

/** The row of the wear table that a check is held against: room beside a tyre by the house's own rule. */
function limitAt({ limit }: Check, { rules }: Bench): Check['limit'] {
  return limit?.check === TYRE_GAP && rules.tyreGap === 'wide' ? { ...limit, check: WIDE_TYRE_GAP } : limit;
}

/** Of several readings the one that decides: the least of what wears thin, the most of what grows. */
function gravestReading(check: Check, readings: readonly number[]): number {
  const limit = wearLimits.find((line) => line.part === check.limit?.part && line.check === check.limit?.check);
  return limit?.direction === 'renew_below' ? Math.min(...readings) : Math.max(...readings);
}

/** One check's evidence judged. A reading comes before the eye; without evidence it stays "not looked at". */
export function judgeCheck(check: Check, seen: Evidence, bench: Bench): Judgement {
  if (check.kind === 'outcome') {
    const outcome = check.outcomes.find((option) => option.id === seen.outcome);
    if (outcome)
      return {
        state: outcome.state,
        verdict: outcome.state,
        outcome: outcome.id,
        reasons: [outcome.why],
        working: [],
        errors: [],
      };
  }
  const judged =
    check.kind === 'bearing-cup'
      ? judgeBearing(check, seen, bench)
      : check.kind === 'lever-hand'
        ? judgeHand(seen, bench.frontBrakeHand)
        : (judgeReadings(check, seen, bench) ?? NOT_LOOKED);
  if (judged !== NOT_LOOKED || !seen.byEye) return judged;
  return {
    ...NOT_LOOKED,
    state: seen.byEye,
    verdict: `eye-${seen.byEye}`,
    reasons: [
      seen.byEye === 'fine'
        ? 'Looked at, nothing found; not measured.'
        : `${stateLabel(seen.byEye)}, judged by eye; a reading would say how much.`,
    ],
  };
}
