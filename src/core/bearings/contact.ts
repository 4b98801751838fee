import * as z from 'zod/mini';
import { defineCalculator, rule } from '../calculator';
import { lengthMm } from '../fields';
import { atLeast, roundTo } from '../numbers';
import { row, type WorkingRow } from '../verdict';
import { approachPerLoad, pressureMPa, type Track } from './hertz';

const shape = z.strictObject({
  ballDiameterMm: z.number().check(z.gte(1), z.lte(20)),
  balls: z.number().check(z.multipleOf(1), z.gte(3), z.lte(60), z.describe('in one row')),
  circleMm: lengthMm.check(z.describe('diameter of the circle through the middles of the balls')),
  contactDeg: z._default(z.number().check(z.gte(15), z.lte(75)), 45),
  osculation: z
    ._default(z.number().check(z.gte(0.505), z.lte(0.7)), 0.54)
    .check(z.describe('track radius as a share of the ball diameter')),
  pitchMm: z._default(z.number().check(z.gte(0.2), z.lte(3)), 1),
  tighterDeg: z
    ._default(z.number().check(z.gte(-120), z.lte(120)), 0)
    .check(z.describe('tighter than where play ends; negative: play')),
  acrossN: z
    ._default(z.number().check(z.gte(0), z.lte(5000)), 350)
    .check(z.describe('load across the axle, on one row')),
  alongN: z
    ._default(z.number().check(z.gte(0), z.lte(5000)), 0)
    .check(z.describe('load along the axle, on top of what setting it pushes')),
  axle: z
    ._default(
      z.nullable(
        z.strictObject({
          areaMm2: z.number().check(z.gt(0), z.lte(2000)),
          spanMm: z.number().check(z.gt(0), z.lte(400)),
        }),
      ),
      null,
    )
    .check(z.describe('the axle stretches between its cones; null for one that does not')),
  cup: z._default(z.enum(['pressed', 'turned']), 'pressed'),
});
/** The smallest circle on which so many balls lie side by side. */
const leastCircleMm = (balls: number, ballDiameterMm: number) => ballDiameterMm / Math.sin(Math.PI / balls);

const input = rule(
  shape,
  ['circleMm'],
  ({ balls, ballDiameterMm, circleMm }) => atLeast(circleMm, leastCircleMm(balls, ballDiameterMm)),
  ({ balls, ballDiameterMm }) =>
    `${balls} balls of ${ballDiameterMm} mm need a circle of at least ${roundTo(leastCircleMm(balls, ballDiameterMm), 2)} mm: count the balls, or measure the circle again`,
);
type Question = z.output<typeof input>;
export type ContactInput = z.input<typeof input>;

export interface ContactPoint {
  turnDeg: number;
  /** Pressure at cone or cup against what keeps a mark there, whichever is nearer to it; 1 marks. */
  markShare: number;
  frictionNmm: number;
  /** Life against the best of the curve, by the cube of the load. */
  life: number;
}

export interface Contact {
  preloadN: number;
  worstBallN: number;
  loadedBalls: number;
  pressureConeMPa: number;
  pressureCupMPa: number;
  limitConeMPa: number;
  limitCupMPa: number;
  frictionNmm: number;
  markShare: number;
  lifeShare: number;
  marks: 'none' | 'cup' | 'both';
  curve: ContactPoint[];
  reasons: string[];
  working: WorkingRow[];
}

/** Static pressure at which a hardened track keeps a mark of a ten-thousandth of the ball's diameter: ISO 76. */
const HARDENED_MPA = 4200;
/** A thin pressed cup is softer and gives under the ball: a rule of thumb. */
const PRESSED_MPA = 3000;
/** Friction of angular contact ball bearings, M = ½·μ·F·d: usual handbook value. */
const FRICTION = 0.002;
const STEEL_MPA = 206_000;
const ROUND = 48;
/** No ball of a bicycle is pushed further into its tracks. */
const MOST_APPROACH_MM = 0.5;
const CURVE_DEG = Array.from({ length: 31 }, (_, i) => -30 + i * 3);

interface Loads {
  preloadN: number;
  worstN: number;
  meanCubeN: number;
  sumN: number;
  loaded: number;
}

/** The load on a ball that is pushed so far into its two tracks. */
function ballLoad(approachMm: number, stiffness: number): number {
  return approachMm <= 0 ? 0 : (approachMm / stiffness) ** 1.5;
}

/** Finds where a rising function crosses nought. */
function crossing(f: (x: number) => number, low: number, high: number): number {
  let [a, b] = [low, high];
  for (let i = 0; i < 60; i++) {
    const middle = (a + b) / 2;
    if (f(middle) < 0) a = middle;
    else b = middle;
  }
  return (a + b) / 2;
}

/**
 * Loads of the row that fares worse, whose cone stands so many degrees tighter than where play ends. A load along the axle
 * seats one row and leaves the other its play: which is worse depends on the setting.
 */
function loadsAt(question: Question, tighterDeg: number, stiffness: number): Loads {
  const free = rowAt(question, tighterDeg, stiffness, 0);
  if (question.alongN === 0) return free;
  const seated = rowAt(question, tighterDeg, stiffness, question.alongN);
  return seated.worstN > free.worstN ? seated : free;
}

/**
 * Loads of one row whose cone stands so many degrees tighter than where play ends. The turn is shared by two rows; what the
 * axle stretches is lost. Along and across the axle the row moves until its balls carry the load.
 */
function rowAt(question: Question, tighterDeg: number, stiffness: number, alongN: number): Loads {
  const { balls, contactDeg, pitchMm, acrossN, axle } = question;
  const sin = Math.sin((contactDeg * Math.PI) / 180);
  const cos = Math.cos((contactDeg * Math.PI) / 180);
  const travelMm = (tighterDeg / 360) * pitchMm;
  const pushOf = (axialMm: number) => balls * sin * ballLoad(axialMm * sin, stiffness);
  const give = axle ? axle.spanMm / (STEEL_MPA * axle.areaMm2) : 0;
  const setMm = travelMm <= 0 ? travelMm / 2 : crossing((a) => 2 * a + pushOf(a) * give - travelMm, 0, travelMm / 2);
  const axialMm = alongN === 0 ? setMm : crossing((a) => pushOf(a) - pushOf(setMm) - alongN, 0, MOST_APPROACH_MM);
  const angles = Array.from({ length: ROUND }, (_, i) => Math.cos((2 * Math.PI * i) / ROUND));
  const at = (acrossMm: number) => angles.map((angle) => ballLoad(axialMm * sin + acrossMm * cos * angle, stiffness));
  const carried = (acrossMm: number) =>
    (balls / ROUND) * at(acrossMm).reduce((sum, load, i) => sum + load * cos * angles[i]!, 0);
  const acrossMm = acrossN === 0 ? 0 : crossing((x) => carried(x) - acrossN, 0, 2);
  const loads = at(acrossMm);
  return {
    preloadN: pushOf(setMm),
    worstN: Math.max(...loads),
    meanCubeN: Math.cbrt(loads.reduce((sum, load) => sum + load ** 3, 0) / ROUND),
    sumN: (balls / ROUND) * loads.reduce((sum, load) => sum + load, 0),
    loaded: (balls / ROUND) * loads.filter((load) => load > 0).length,
  };
}

/**
 * What a turn of the cone does inside: load on the balls, pressure at the tracks, friction, and what it costs in life.
 *
 * Approach of a ball δ = (K_cone + K_cup)·Q^⅔ (Hertz); axial push F = Z·Q·sin α; a load along the axle adds to F on one row,
 * and the row that fares worse is told; friction M = ½·μ·ΣQ·D, μ = 0.002; life falls
 * with the cube of the mean load. A hardened track keeps a mark from 4,200 MPa (ISO 76), a thin pressed cup sooner.
 * Units: mm, N, MPa, N·mm, degrees of cone. Errors: sizes outside those of a bicycle. Source: Hertz; Brewe and Hamrock 1977.
 * Example: a front hub with ten 3/16 in balls, thirty degrees too tight: its pressed cups are near their limit.
 */
function run(question: Question): Contact {
  const { ballDiameterMm, circleMm, contactDeg, osculation, tighterDeg, acrossN, alongN, balls, cup } = question;
  const track = (side: Track['side']): Track => ({ ballMm: ballDiameterMm, circleMm, contactDeg, osculation, side });
  const stiffness = approachPerLoad(track('cone')) + approachPerLoad(track('cup'));
  const frictionOf = (loads: Loads) => 0.5 * FRICTION * loads.sumN * circleMm;
  const curveLoads = CURVE_DEG.map((turnDeg) => ({ turnDeg, loads: loadsAt(question, turnDeg, stiffness) }));
  const here = loadsAt(question, tighterDeg, stiffness);
  const kindest = Math.min(here.meanCubeN, ...curveLoads.map(({ loads }) => loads.meanCubeN));
  const lifeOf = (loads: Loads) => (loads.meanCubeN === 0 ? 1 : (kindest / loads.meanCubeN) ** 3);
  const pressureConeMPa = pressureMPa(track('cone'), here.worstN);
  const pressureCupMPa = pressureMPa(track('cup'), here.worstN);
  const limitCupMPa = cup === 'pressed' ? PRESSED_MPA : HARDENED_MPA;
  const marks =
    pressureConeMPa >= HARDENED_MPA
      ? ('both' as const)
      : pressureCupMPa >= limitCupMPa
        ? ('cup' as const)
        : ('none' as const);
  const markShareOf = (loads: Loads) =>
    Math.max(
      pressureMPa(track('cone'), loads.worstN) / HARDENED_MPA,
      pressureMPa(track('cup'), loads.worstN) / limitCupMPa,
    );
  const lifeShare = lifeOf(here);
  const reasons = [
    tighterDeg > 0
      ? `${roundTo(tighterDeg, 0)}° past the end of play push ${roundTo(here.preloadN, 0)} N along the axle into each row; the worst ball carries ${roundTo(here.worstN, 0)} N.`
      : tighterDeg < 0
        ? `With play, ${roundTo(here.loaded, 1)} of ${balls} balls carry the load; the worst one ${roundTo(here.worstN, 0)} N.`
        : `Without play or push ${roundTo(here.loaded, 1)} of ${balls} balls carry the load; the worst one ${roundTo(here.worstN, 0)} N.`,
    marks === 'none'
      ? `No mark: ${roundTo(pressureCupMPa, -1)} MPa at the cup, which keeps one from ${limitCupMPa}; ${roundTo(pressureConeMPa, -1)} at the cone, from ${HARDENED_MPA}.`
      : marks === 'cup'
        ? `The ${cup} cup keeps a mark: ${roundTo(pressureCupMPa, -1)} MPa against ${limitCupMPa}. A blow of the road comes on top.`
        : `Cone and cup keep marks: ${roundTo(pressureConeMPa, -1)} MPa against ${HARDENED_MPA}.`,
    lifeShare < 0.01
      ? 'It lasts less than a hundredth of what it would at its best setting.'
      : `It lasts about ${roundTo(lifeShare * 100, 0)} % of what it would at its best setting.`,
  ];
  return {
    preloadN: roundTo(here.preloadN, 3),
    worstBallN: roundTo(here.worstN, 3),
    loadedBalls: roundTo(here.loaded, 3),
    pressureConeMPa: roundTo(pressureConeMPa, 2),
    pressureCupMPa: roundTo(pressureCupMPa, 2),
    limitConeMPa: HARDENED_MPA,
    limitCupMPa,
    frictionNmm: roundTo(frictionOf(here), 4),
    markShare: roundTo(markShareOf(here), 4),
    lifeShare: roundTo(lifeShare, 4),
    marks,
    curve: curveLoads.map(({ turnDeg, loads }) => ({
      turnDeg,
      markShare: roundTo(markShareOf(loads), 4),
      frictionNmm: roundTo(frictionOf(loads), 4),
      life: roundTo(lifeOf(loads), 4),
    })),
    reasons,
    working: [
      row('t', 'tighter than where play ends', tighterDeg, '°'),
      row('W', 'load across the axle, on this row', acrossN, 'N'),
      ...(alongN > 0 ? [row('A', 'load along the axle, on this row', alongN, 'N')] : []),
      row('K', 'approach of a ball into both tracks = δ / Q^⅔', roundTo(stiffness * 1000, 4), 'µm/N^⅔'),
      row('F', 'push along the axle = Z·Q·sin α', roundTo(here.preloadN, 1), 'N'),
      row('Q', 'load of the worst ball', roundTo(here.worstN, 1), 'N'),
      row('p', 'pressure at the cone = 3Q / 2πab', roundTo(pressureConeMPa, 0), 'MPa'),
      row('p′', `pressure at the cup, limit ${limitCupMPa}`, roundTo(pressureCupMPa, 0), 'MPa'),
      row('M', 'friction = ½·μ·ΣQ·D, μ = 0.002', roundTo(frictionOf(here), 2), 'N·mm'),
    ],
  };
}

export const bearingsContact = defineCalculator({
  id: 'bearings.contact',
  title: 'What a turn of the cone does inside',
  example: { ballDiameterMm: 4.762, balls: 10, circleMm: 16.2, tighterDeg: 30, acrossN: 500 },
  input,
  run,
});
