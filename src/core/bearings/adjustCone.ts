import * as z from 'zod/mini';
import { defineCalculator } from '../calculator';
import { roundTo } from '../numbers';
import { row, type WorkingRow } from '../verdict';
import { ADJUSTS, type Adjusts } from './benchTypes';
import { bestAction, coneTables, SURE, type Action } from './coneAdvice';
import { afterFeel, afterTurn, coneGrid, expectation, FEELS, spreadOf, startBelief } from './coneBelief';

const FLAT_DEG = 60;
/** From tight the cone has been run down until it resists, from loose backed off: by how little is all that is known. */
const START_DEG = { 'from-tight': 3, 'from-loose': -3 } as const;

const input = z.strictObject({
  pitchMm: z.number().check(z.gte(0.2), z.lte(3)),
  school: z._default(z.enum(['from-tight', 'from-loose']), 'from-tight'),
  allowanceDeg: z
    ._default(z.number().check(z.gte(0), z.lte(90)), 0)
    .check(z.describe('what the skewer squeezes, as degrees of cone; 0 for a nutted axle')),
  handSdDeg: z._default(z.number().check(z.gte(0), z.lte(30)), 3),
  lockShift: z
    .prefault(
      z.strictObject({
        meanDeg: z._default(z.number().check(z.gte(-60), z.lte(60)), 5),
        sdDeg: z._default(z.number().check(z.gte(0), z.lte(30)), 4),
      }),
      {},
    )
    .check(z.describe('what locking the locknut drags the cone, positive tightens')),
  bands: z.prefault(
    z.strictObject({
      tickDeg: z._default(z.number().check(z.gte(1), z.lte(90)), 10),
      smoothDeg: z._default(z.number().check(z.gte(1), z.lte(90)), 12),
    }),
    {},
  ),
  missShare: z
    ._default(z.number().check(z.gte(0), z.lte(0.4)), 0.05)
    .check(z.describe('share of feels read as a neighbour')),
  turns: z._default(z.enum(ADJUSTS), 'cone').check(z.describe('what is turned: only the words differ')),
  toolMm: z
    ._default(z.number().check(z.gte(20), z.lte(600)), 150)
    .check(z.describe('length of the tool, to say how far its tip travels')),
  trials: z
    .array(
      z.strictObject({
        turnDeg: z
          .number()
          .check(z.gte(-720), z.lte(720), z.describe('positive tightens; 0 felt again without turning')),
        feel: z.enum(FEELS),
        clamped: z._default(z.boolean(), false).check(z.describe('felt with the skewer closed')),
      }),
    )
    .check(z.maxLength(400)),
});

export type AdjustConeInput = z.input<typeof input>;
type Session = z.output<typeof input>;

/** The tool of each, and what is done before it can be felt. */
const TOOLS: Record<Adjusts, { name: string; locked: string }> = {
  cone: { name: 'spanner', locked: 'lock it, ' },
  'adjustable-cup': { name: 'spanner', locked: 'lock it, ' },
  'top-cap': { name: 'key', locked: '' },
  'preload-cap': { name: 'tool', locked: '' },
};

export interface NextTurn {
  turnDeg: number;
  feelClamped: boolean;
  /** Travel of the tip of the tool. */
  tipTravelMm: number;
  /** Share of one flat of a hexagon. */
  flatShare: number;
  /** How far the thread moves what is turned. */
  travelMm: number;
  /** What is done after the turn, without its size. */
  then: string;
  words: string;
}

export interface ConeAdvice {
  next: NextTurn | null;
  done: boolean;
  estimate: { toIdealDeg: number; sdDeg: number };
  /** Degrees tighter than where play ends, as it is ridden. */
  standsDeg: number;
  playMm: number | null;
  rightChance: number;
  reasons: string[];
  working: WorkingRow[];
}

/** Where a cone is thought to stand after its trials, and whether that is good enough to stop: the belief without a plan. */
function standing(session: Session) {
  const turned = session.trials.reduce((sum, trial) => sum + Math.abs(trial.turnDeg), 0);
  const grid = coneGrid(session, turned);
  const tables = coneTables(grid, session);
  const fresh = () => startBelief(grid, START_DEG[session.school]);
  let belief = fresh();
  for (const trial of session.trials) {
    belief = afterTurn(grid, belief, trial.turnDeg);
    const table = trial.clamped ? tables.closed : tables.open;
    const felt = afterFeel(belief, table, FEELS.indexOf(trial.feel));
    belief = felt.chance > 1e-300 ? felt.belief : afterFeel(fresh(), table, FEELS.indexOf(trial.feel)).belief;
  }
  const rightChance = Math.min(1, expectation(belief, tables.right));
  const last = session.trials.at(-1);
  const asRidden = last !== undefined && (session.allowanceDeg === 0 || last.clamped);
  const done = asRidden && last.feel === 'smooth' && rightChance >= SURE;
  return { grid, tables, belief, rightChance, last, asRidden, done };
}

/** Whether these trials are enough to stop, by the rule of `bearings.adjustCone`. Errors: a question that does not fit. Example: one trial, tight → false. */
export function isConeDone(question: AdjustConeInput): boolean {
  return standing(input.parse(question)).done;
}

/**
 * The next turn of a cone, from every trial so far.
 *
 * x = degrees tighter than where play ends, off the skewer. A turn other than 0: x ← x + turn + N(0, hand) + N(lock),
 * since locking drags each time. With the skewer closed the bearing stands at x + allowance. Feel by where it stands:
 * loose under −tick, tick up to 0, smooth up to smoothDeg, tight beyond, read as a neighbour in missShare of cases.
 * A posterior over x (and over how much this bench's locking drags and how wide its bands are) gives the turn that is
 * expected to finish soonest. Done when the last feel was taken as ridden, was smooth, and is right with 0.9.
 *
 * Units: degrees of cone, mm. Errors: an unknown feel, turns over two rounds. Source: Bayes' rule; three trials looked ahead.
 * Example: one trial, tight at a turn of 0 → open by some twenty degrees and feel again.
 */
function run(session: Session): ConeAdvice {
  const { grid, tables, belief, rightChance, last, asRidden, done } = standing(session);
  const { meanDeg, sdDeg } = spreadOf(grid, belief);
  const toIdealDeg = session.bands.smoothDeg / 2 - session.allowanceDeg - meanDeg;
  const opens = session.school === 'from-tight';
  const action = done
    ? null
    : bestAction(tables, belief, (turn) => last !== undefined || (opens ? turn < 0 : turn > 0), opens ? -1 : 1);

  return {
    next: action && nextTurn(session, action),
    done,
    estimate: { toIdealDeg: roundTo(toIdealDeg, 6), sdDeg },
    standsDeg: roundTo(meanDeg + session.allowanceDeg, 6),
    playMm: last === undefined ? null : Math.max(0, -meanDeg / 360) * session.pitchMm,
    rightChance,
    reasons: reasonsFor(session, { done, asRidden, rightChance, toIdealDeg, sdDeg }),
    working: [
      row('x', 'estimate: tighter than where play ends, skewer open', roundTo(meanDeg, 1), '°'),
      row('σ', 'how sure', roundTo(sdDeg, 1), '°'),
      row('a', 'allowance for the skewer', roundTo(session.allowanceDeg, 1), '°'),
      row('i', 'to the middle of smooth as ridden = smooth/2 − a − x', roundTo(toIdealDeg, 1), '°'),
      row('l', 'drag of locking allowed for', session.lockShift.meanDeg, '°'),
      row('P', `chance that it is right (done from ${SURE})`, roundTo(rightChance, 3)),
    ],
  };
}

function nextTurn(session: Session, { turnDeg, clamped }: Action): NextTurn {
  const size = Math.abs(turnDeg);
  const { name, locked } = TOOLS[session.turns];
  const tipTravelMm = (2 * Math.PI * session.toolMm * size) / 360;
  const flatShare = size / FLAT_DEG;
  const feelIt =
    session.allowanceDeg === 0
      ? `${locked}feel`
      : clamped
        ? `${locked}close the skewer as it is ridden and feel`
        : `${locked}feel with the skewer open`;
  const still = `Do not turn. ${session.allowanceDeg > 0 && clamped ? 'Close the skewer and feel it as it is ridden.' : 'Feel it once more at several points of the turn.'}`;
  const then = turnDeg === 0 ? still : `${capital(flatWords(flatShare))}. ${capital(feelIt)}.`;
  const words =
    turnDeg === 0
      ? still
      : `${turnDeg > 0 ? 'Tighten' : 'Open'} by ${Math.round(tipTravelMm)} mm at the tip of a ${session.toolMm} mm ${name}, ${flatWords(flatShare)} (${size}°), then ${feelIt}.`;
  const travelMm = (session.pitchMm * size) / 360;
  return { turnDeg, feelClamped: clamped, tipTravelMm, flatShare, travelMm, then, words };
}

const capital = (words: string) => words.charAt(0).toUpperCase() + words.slice(1);

function flatWords(flats: number): string {
  const near: [number, string][] = [
    [1 / 16, 'a sixteenth of a flat'],
    [1 / 8, 'an eighth of a flat'],
    [1 / 6, 'a sixth of a flat'],
    [1 / 5, 'a fifth of a flat'],
    [1 / 4, 'a quarter of a flat'],
    [1 / 3, 'a third of a flat'],
    [1 / 2, 'half a flat'],
    [2 / 3, 'two thirds of a flat'],
    [3 / 4, 'three quarters of a flat'],
    [1, 'one flat'],
  ];
  if (flats > 1.1) return `${roundTo(flats, 1)} flats`;
  return `about ${near.reduce((best, item) => (Math.abs(item[0] - flats) < Math.abs(best[0] - flats) ? item : best))[1]}`;
}

function reasonsFor(
  session: Session,
  now: { done: boolean; asRidden: boolean; rightChance: number; toIdealDeg: number; sdDeg: number },
): string[] {
  const last = session.trials.at(-1);
  const sure = `${roundTo(now.rightChance * 100, 0)} %`;
  if (last === undefined) {
    return session.school === 'from-tight'
      ? ['From tight: run the cone down until it clearly resists, open by this much, lock, and feel.']
      : ['From loose: with play still there, close by this much, lock, and feel.'];
  }
  if (now.done)
    return [
      `Smooth as it is ridden, and right with ${sure}. Feel it at several points of the turn before the wheel goes in.`,
    ];
  const reasons = [
    `${Math.abs(roundTo(now.toIdealDeg, 0))}° too ${now.toIdealDeg < 0 ? 'tight' : 'loose'}, give or take ${roundTo(now.sdDeg, 0)}°; right with ${sure} as it stands.`,
  ];
  if (last.feel === 'smooth' && !now.asRidden)
    reasons.push(
      'Smooth with the skewer open says it will be too tight closed: the check that counts is made as it is ridden.',
    );
  if (last.feel === 'smooth' && now.asRidden) reasons.push('One smooth feel may be a slip of the hand: feel it again.');
  if (session.lockShift.meanDeg !== 0)
    reasons.push(
      `Locking drags the cone about ${Math.abs(session.lockShift.meanDeg)}° ${session.lockShift.meanDeg > 0 ? 'tighter' : 'looser'}: that is allowed for.`,
    );
  if (session.trials.length >= 6)
    reasons.push('Many trials: if the feel changes round the turn, the track is pitted; set it at the tightest spot.');
  return reasons;
}

export const bearingsAdjustCone = defineCalculator({
  id: 'bearings.adjustCone',
  title: 'The next turn of the cone',
  lane: 'long',
  example: { pitchMm: 1, trials: [{ turnDeg: 0, feel: 'tight' }] },
  input,
  run,
});
