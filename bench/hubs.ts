import { bearingsAdjustCone, isConeDone, type AdjustConeInput } from '../src/core/bearings/adjustCone';
import { answer } from '../src/core/calculator';
import { uniformStream } from '../src/core/money/streams';

/** A hidden hub: where its cone truly stands, how its locknut drags and how wide its bands are. */
export interface HubTruth {
  dragMeanDeg: number;
  dragSdDeg: number;
  bandScale: number;
  allowanceDeg: number;
}

export interface HubRun {
  trials: number;
  done: boolean;
  right: boolean;
}

const MOST_TRIALS = 25;
const HAND_SD_DEG = 3;
const MISS = 0.05;
const FEELS = ['loose', 'tick', 'smooth', 'tight'] as const;

function normal(next: () => number): number {
  return Math.sqrt(-2 * Math.log(next())) * Math.cos(2 * Math.PI * next());
}

/** The way without an adviser: fixed steps by feel, an eighth of a turn at the ends and a twentieth near the middle. */
const FIXED_STEP = { loose: 30, tick: 8, smooth: 0, tight: -30 } as const;

function adviceFor(question: AdjustConeInput) {
  const result = answer(bearingsAdjustCone, question);
  if (!result.ok) throw new Error(JSON.stringify(result.errors));
  return result.output;
}

/** Sets one hidden hub, by the adviser or by fixed steps, both stopped by the adviser's own rule. */
export function setHub(seed: number, truth: HubTruth, way: 'adviser' | 'fixed'): HubRun {
  const next = uniformStream(seed, 'hidden hub');
  let x = -60 + 120 * next();
  const trials: NonNullable<AdjustConeInput['trials']> = [];
  const tick = -10 * truth.bandScale;
  const smooth = 12 * truth.bandScale;
  for (;;) {
    const question = { pitchMm: 1, allowanceDeg: truth.allowanceDeg, trials };
    const advice = way === 'adviser' ? adviceFor(question) : { done: isConeDone(question), next: null };
    const standing = x + truth.allowanceDeg;
    const right = standing >= 0 && standing <= smooth;
    if (advice.done || trials.length >= MOST_TRIALS) return { trials: trials.length, done: advice.done, right };
    const last = trials.at(-1);
    const turnDeg = way === 'adviser' ? advice.next!.turnDeg : last ? FIXED_STEP[last.feel] : -30;
    const clamped = way === 'adviser' ? advice.next!.feelClamped : truth.allowanceDeg > 0;
    if (turnDeg !== 0) x += turnDeg + HAND_SD_DEG * normal(next) + truth.dragMeanDeg + truth.dragSdDeg * normal(next);
    const felt = x + (clamped ? truth.allowanceDeg : 0);
    let band = felt < tick ? 0 : felt < 0 ? 1 : felt <= smooth ? 2 : 3;
    if (next() < MISS) band = band === 0 ? 1 : band === 3 ? 2 : band + (next() < 0.5 ? -1 : 1);
    trials.push({ turnDeg, feel: FEELS[band]!, clamped });
  }
}

export function setHubs(count: number, truth: HubTruth, way: 'adviser' | 'fixed') {
  const runs = Array.from({ length: count }, (_, i) => setHub(i + 1, truth, way));
  const done = runs.filter((run) => run.done);
  return {
    meanTrials: runs.reduce((sum, run) => sum + run.trials, 0) / count,
    medianTrials: runs.map((run) => run.trials).sort((a, b) => a - b)[Math.floor(count / 2)]!,
    p90Trials: runs.map((run) => run.trials).sort((a, b) => a - b)[Math.floor(0.9 * count)]!,
    shareDone: done.length / count,
    shareRight: runs.filter((run) => run.right).length / count,
  };
}
