import * as z from 'zod/mini';
import { defineCalculator } from '../calculator';
import { roundTo } from '../numbers';
import { row, type WorkingRow } from '../verdict';
import { afterFeel, afterTurn, coneGrid, FEELS, feelTable, startBelief, type ConeModel } from './coneBelief';

const degrees = z.number().check(z.gte(-720), z.lte(720));
const lockShift = z.strictObject({
  meanDeg: z.number().check(z.gte(-60), z.lte(60)),
  sdDeg: z.number().check(z.gte(0), z.lte(30)),
});

const input = z.strictObject({
  usual: z._default(lockShift, { meanDeg: 5, sdDeg: 4 }).check(z.describe('what is thought before any trial')),
  handSdDeg: z._default(z.number().check(z.gte(0), z.lte(30)), 3),
  bands: z.prefault(
    z.strictObject({
      tickDeg: z._default(z.number().check(z.gte(1), z.lte(90)), 10),
      smoothDeg: z._default(z.number().check(z.gte(1), z.lte(90)), 12),
    }),
    {},
  ),
  missShare: z._default(z.number().check(z.gte(0), z.lte(0.4)), 0.05),
  sessions: z
    .array(
      z.strictObject({
        allowanceDeg: z._default(z.number().check(z.gte(0), z.lte(90)), 0),
        trials: z
          .array(z.strictObject({ turnDeg: degrees, feel: z.enum(FEELS), clamped: z._default(z.boolean(), false) }))
          .check(z.maxLength(60)),
      }),
    )
    .check(z.maxLength(200)),
});
type Question = z.output<typeof input>;
export type LearnDragInput = z.input<typeof input>;

export interface LearntDrag {
  lockShift: { meanDeg: number; sdDeg: number };
  /** Turns that were followed by a lock and a feel: what was learnt from. */
  turns: number;
  reasons: string[];
  working: WorkingRow[];
}

/** Benches differ from the usual by some four degrees: how far the mean is thought to stray. */
const BENCH_SD_DEG = 4;
const MEAN_STEPS = Array.from({ length: 15 }, (_, i) => (i - 6) * 2);
const SD_SCALES = [
  { scale: 0.6, weight: 0.25 },
  { scale: 1, weight: 0.45 },
  { scale: 1.6, weight: 0.3 },
];
const MOST_SESSIONS = 20;
/** Trials of one bearing that are learnt from: whoever needed more was not learning about the drag. */
const MOST_TRIALS = 12;
/** Whoever turned a cone further than once round was looking for its place, and did not set it. */
const MOST_TURNED_DEG = 360;

/** How likely a bearing's trials are under one drag: the product of the chances of its feels, in logs. */
function logEvidence(model: ConeModel, trials: Question['sessions'][number]['trials']): number {
  const grid = coneGrid(
    model,
    trials.reduce((sum, trial) => sum + Math.abs(trial.turnDeg), 0),
    'given',
  );
  const open = feelTable(grid, model, false);
  const closed = model.allowanceDeg > 0 ? feelTable(grid, model, true) : open;
  let belief = startBelief(grid, 0);
  let log = 0;
  for (const { turnDeg, feel, clamped } of trials) {
    const felt = afterFeel(afterTurn(grid, belief, turnDeg), clamped ? closed : open, FEELS.indexOf(feel));
    if (felt.chance <= 1e-12) return log + Math.log(1e-12);
    belief = felt.belief;
    log += Math.log(felt.chance);
  }
  return log;
}

/**
 * How much locking the locknut drags at this bench, from the trials of bearings that were set here before.
 *
 * A grid of drags (mean, spread) is weighed by how likely each makes all the feels: log w = log prior + Σ log P(trials |
 * drag), the prior being normal about the usual drag. Units: degrees. Errors: an unknown feel, more than 200 sessions.
 * Source: Bayes' rule over the model of `bearings.adjustCone`. Example: no trials → the usual drag.
 */
function run(question: Question): LearntDrag {
  const { usual, handSdDeg, bands, missShare } = question;
  const sessions = question.sessions
    .filter(({ trials }) => trials.length > 1)
    .slice(-MOST_SESSIONS)
    .map(({ allowanceDeg, trials }) => ({ allowanceDeg, trials: trials.slice(0, MOST_TRIALS) }))
    .filter(({ trials }) => trials.reduce((sum, { turnDeg }) => sum + Math.abs(turnDeg), 0) <= MOST_TURNED_DEG);
  const turns = sessions.reduce((sum, { trials }) => sum + trials.filter((trial) => trial.turnDeg !== 0).length, 0);
  const candidates = MEAN_STEPS.flatMap((step) =>
    SD_SCALES.map(({ scale, weight }) => {
      const shift = { meanDeg: usual.meanDeg + step, sdDeg: Math.max(1, usual.sdDeg * scale) };
      const prior = Math.log(weight) - 0.5 * (step / BENCH_SD_DEG) ** 2;
      const evidence = sessions.reduce(
        (sum, { allowanceDeg, trials }) =>
          sum + logEvidence({ allowanceDeg, handSdDeg, lockShift: shift, bands, missShare }, trials),
        0,
      );
      return { shift, log: prior + evidence };
    }),
  );
  const top = Math.max(...candidates.map(({ log }) => log));
  const weights = candidates.map(({ log }) => Math.exp(log - top));
  const total = weights.reduce((sum, weight) => sum + weight, 0);
  const mean = (of: (shift: LearntDrag['lockShift']) => number) =>
    candidates.reduce((sum, { shift }, i) => sum + (weights[i]! / total) * of(shift), 0);
  // With nothing to learn from, the usual is said as it stands, not as a grid blurs it.
  const learnt =
    turns === 0
      ? usual
      : {
          meanDeg: roundTo(
            mean((shift) => shift.meanDeg),
            2,
          ),
          sdDeg: roundTo(
            mean((shift) => shift.sdDeg),
            2,
          ),
        };
  return {
    lockShift: learnt,
    turns,
    reasons: [
      turns === 0
        ? `Nothing has been set here yet: the usual ${usual.meanDeg}° of drag is allowed for.`
        : `Learnt from ${turns === 1 ? 'one turn' : `${turns} turns`} on ${sessions.length === 1 ? 'one bearing' : `${sessions.length} bearings`} at this bench: locking drags about ${roundTo(learnt.meanDeg, 0)}°, give or take ${roundTo(learnt.sdDeg, 0)}°.`,
    ],
    working: [
      row('u', 'usual drag', usual.meanDeg, '°'),
      row('n', 'turns learnt from', turns),
      row('l', 'drag allowed for', learnt.meanDeg, '°'),
      row('s', 'its spread', learnt.sdDeg, '°'),
    ],
  };
}

export const bearingsLearnDrag = defineCalculator({
  id: 'bearings.learnDrag',
  title: 'How much this bench drags',
  lane: 'long',
  example: {
    sessions: [
      {
        trials: [
          { turnDeg: 0, feel: 'tight' },
          { turnDeg: -20, feel: 'tick' },
        ],
      },
    ],
  },
  input,
  run,
});
