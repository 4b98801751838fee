import * as z from 'zod/mini';
import { bicycleKind, brakeOf, type BicycleKind } from '../bicycle';
import { defineCalculator } from '../calculator';
import { holds } from '../conditions';
import { skeletonOf, type Skeleton } from '../drawing/skeleton';
import { roundTo } from '../numbers';
import { setBrakeOf } from '../setup/kinds';
import { cableRuns, type CableRun, type RUN_POINTS } from './data/runs';
import type { CableHead, CableKind } from './kinds';

const mm = z.number().check(z.gte(-300), z.lte(300));

const input = z.strictObject({
  kind: z.prefault(bicycleKind, {}),
  bars: z
    ._default(z.strictObject({ upMm: mm, forwardMm: mm }), { upMm: 0, forwardMm: 0 })
    .check(z.describe('how far the bars stand from where the drawing has them')),
  old: z
    ._default(
      z.record(
        z.string().check(z.maxLength(64)),
        z.strictObject({
          lengthMm: z.number().check(z.gt(0), z.lte(10_000)),
          tooShort: z._default(z.boolean(), false),
        }),
      ),
      {},
    )
    .check(z.describe('old pieces as they were measured, by run; too short at full lock or not')),
});

export interface CablePiece {
  id: string;
  label: string;
  kind: CableKind;
  place: string;
  head: CableHead | null;
  lengthMm: number;
  /** How far it may be off; nought where the old one was measured and fitted. */
  withinMm: number;
  from: 'old' | 'old, longer' | 'reckoned';
}

/** What is added to an old piece that pulled tight at full lock. */
const LONGER_MM = 40;

type Point = { x: number; y: number };
const apart = (a: Point, b: Point, acrossMm: number) => Math.hypot(a.x - b.x, a.y - b.y, acrossMm);
const along = (a: Point, b: Point, share: number): Point => ({
  x: a.x + (b.x - a.x) * share,
  y: a.y + (b.y - a.y) * share,
});

/** Levers stand before and under the middle of drop bars, behind it on swept ones. */
const LEVER_FROM_BARS: Record<BicycleKind['bars'], Point> = {
  drop: { x: 70, y: -10 },
  flat: { x: -20, y: 0 },
  swept: { x: -120, y: 0 },
};

/** The points of the runs; a run by the frame goes from one to the next. */
function pointsOf(kind: BicycleKind, s: Skeleton, bars: { upMm: number; forwardMm: number }) {
  const lever = {
    x: s.bars.x + LEVER_FROM_BARS[kind.bars].x + bars.forwardMm,
    y: s.bars.y + LEVER_FROM_BARS[kind.bars].y + bars.upMm,
  };
  const frameFront = along(s.headTop, s.cluster, 0.12);
  const frameRear = along(s.headTop, s.cluster, 0.88);
  const disc = { front: brakeOf(kind, 'front') === 'disc', rear: brakeOf(kind, 'rear') === 'disc' };
  const brakeFront = disc.front ? { x: s.front.x - 40, y: s.front.y + 60 } : { x: s.crown.x, y: s.crown.y + 20 };
  const brakeRear = disc.rear ? { x: s.rear.x + 60, y: s.rear.y + 60 } : along(s.cluster, s.rear, 0.22);
  const downTube = along(s.headLow, s.bb, 0.18);
  const chainstay = along(s.bb, s.rear, 0.85);
  const derailleur = { x: s.rear.x - 10, y: s.rear.y - 40 };
  const paths: Record<(typeof RUN_POINTS)[number], Point[]> = {
    lever: [lever],
    'frame-front': [frameFront],
    'frame-rear': [frameRear],
    'brake-front': [brakeFront],
    'brake-rear': [brakeRear],
    'brake-rear-by-frame': [frameFront, frameRear, brakeRear],
    'down-tube-stop': [downTube],
    'chainstay-stop': [chainstay],
    derailleur: [derailleur],
    'derailleur-by-frame': [downTube, s.bb, chainstay, derailleur],
    'bracket-by-frame': [downTube, s.bb, { x: s.bb.x, y: s.bb.y + 120 }],
  };
  return paths;
}

/** From point to point along the frame; the sideways reach counts once, at the bars. */
function reckonedMm(run: CableRun, paths: ReturnType<typeof pointsOf>, isSprung: boolean): number {
  const way = [...paths[run.from].slice(-1), ...paths[run.to]];
  const straight = way.slice(1).reduce((sum, at, i) => sum + apart(way[i]!, at, i === 0 ? run.acrossMm : 0), 0);
  return straight * run.curve + run.addMm + (isSprung ? run.travelMm : 0);
}

function headOf(run: CableRun, kind: BicycleKind): CableHead | null {
  if (run.head === '@lever') return kind.bars === 'drop' ? 'pear' : 'barrel';
  return run.head === '@shifter' ? 'shifter' : null;
}

/** Sides of a bicycle that a run's conditions hang on. */
const factsOf = (kind: BicycleKind) => ({
  ...kind,
  frontSet: setBrakeOf(kind, 'front'),
  rearSet: setBrakeOf(kind, 'rear'),
  shifters: kind.shifters ?? (kind.bars === 'drop' ? 'integrated' : 'clamp'),
});

/**
 * The cables of a bicycle with their lengths: the old piece where it was measured, since it fitted; else from the points of the
 * drawing with a curve on top, and how far that may be off. One that pulled tight at full lock gets 40 mm more.
 *
 * reckoned = Σ straight lines (half a bar sideways for the first) · curve + what ferrules and anchor take, and of a sprung frame
 * what its travel draws. Bars that stand
 * higher or further forward lengthen what begins at them.
 *
 * Units: mm. Errors: an unknown kind, a length below zero. Source: the table of runs; rule of thumb, to be held along the frame before
 * anything is cut. Example: bars raised by 50 mm lengthen the front brake's outer.
 */
export const cablesLengths = defineCalculator({
  id: 'cables.lengths',
  title: 'How long a bicycle’s cables have to be',
  example: {},
  input,
  run({ kind, bars, old }): { pieces: CablePiece[]; reasons: string[] } {
    const paths = pointsOf(kind, skeletonOf(kind), bars);
    const facts = factsOf(kind);
    const isSprung = kind.frame === 'full-suspension';
    const pieces = cableRuns
      .filter((run) => holds(run.facts, facts))
      .map((run): CablePiece => {
        const known = Object.hasOwn(old, run.id) ? old[run.id]! : null;
        const length = known ? known.lengthMm + (known.tooShort ? LONGER_MM : 0) : reckonedMm(run, paths, isSprung);
        return {
          id: run.id,
          label: run.label,
          kind: run.kind,
          place: run.place,
          head: headOf(run, kind),
          lengthMm: known ? length : roundTo(length, -1),
          withinMm: known ? 0 : run.withinMm,
          from: known === null ? 'reckoned' : known.tooShort ? 'old, longer' : 'old',
        };
      });
    return {
      pieces,
      reasons: [
        'Hold each along the frame with the bars at both ends before it is cut: a tight one brakes by itself.',
        ...(isSprung || kind.fork === 'suspension'
          ? ['The whole travel of what is sprung counts: hold it with the spring let out, and pressed home.']
          : []),
        ...(pieces.some(({ from }) => from === 'reckoned')
          ? ['What is reckoned is a rule of thumb: measure the old one where it was good.']
          : []),
        'A guide goes in before the old cable comes out of a frame.',
      ],
    };
  },
});
