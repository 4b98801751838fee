import * as z from 'zod/mini';
import { defineCalculator, rule } from '../calculator';
import { remembered } from '../remembered';
import { bearingsAdjustCone, type ConeAdvice } from './adjustCone';
import { bearingsClampAllowance, type ClampAllowance } from './clampAllowance';
import { bearingsLearnDrag, type LearntDrag } from './learnDrag';

/** What is squeezed beyond this was measured wrongly: no cone is set a quarter of a turn loose. */
const MOST_ALLOWANCE_DEG = 90;

const drag = bearingsLearnDrag.input;
const shape = z.strictObject({
  squeeze: z
    ._default(z.nullable(bearingsClampAllowance.input), null)
    .check(z.describe('the axle that a skewer squeezes, if one does')),
  drag: z
    .extend(z.omit(drag, { sessions: true }), {
      sessions: z.array(drag.shape.sessions.def.element.shape.trials).check(z.maxLength(200)),
    })
    .check(z.describe('what was set here before: the allowance at hand stands for those of then')),
  cone: z.omit(bearingsAdjustCone.input, { allowanceDeg: true, lockShift: true }),
});

const allowanceOf = (squeeze: z.output<typeof shape>['squeeze']) =>
  squeeze ? bearingsClampAllowance.run(squeeze) : null;

const input = rule(
  shape,
  ['squeeze'],
  ({ squeeze }) => (allowanceOf(squeeze)?.coneTurnDeg ?? 0) <= MOST_ALLOWANCE_DEG,
  'that axle would give more than a quarter of a turn: measure it again',
);
export type SettingInput = z.input<typeof shape>;

export interface Setting {
  /** Null where nothing squeezes the axle. */
  allowance: ClampAllowance | null;
  allowanceDeg: number;
  drag: LearntDrag;
  advice: ConeAdvice;
}

/** A bench's drag changes by the bearing, not by the turn: the last few are kept. */
const learn = remembered(bearingsLearnDrag.run, 4);

/**
 * A bearing while it is set: what the skewer squeezes, how much this bench drags, and the next turn, each from the one before.
 *
 * allowance → drag learnt with it → the next turn under both; see `bearings.clampAllowance`, `bearings.learnDrag` and
 * `bearings.adjustCone`. Units: mm, N, degrees. Errors: those of the three; an axle that gives more than 90° of cone.
 * Example: a 10 × 1 axle, 5.2 bore, 68 mm between cones, 4,200 N, felt tight: twelve degrees of allowance, and a turn back.
 */
function run({ squeeze, drag: asked, cone }: z.output<typeof shape>): Setting {
  const allowance = allowanceOf(squeeze);
  const allowanceDeg = allowance?.coneTurnDeg ?? 0;
  const learnt = learn({ ...asked, sessions: asked.sessions.map((trials) => ({ allowanceDeg, trials })) });
  const advice = bearingsAdjustCone.run({ ...cone, allowanceDeg, lockShift: learnt.lockShift });
  return { allowance, allowanceDeg, drag: learnt, advice };
}

export const bearingsSetting = defineCalculator({
  id: 'bearings.setting',
  title: 'A bearing while it is set',
  lane: 'long',
  example: {
    squeeze: { axle: { majorMm: 10, pitchMm: 1, boreMm: 5.2 }, coneSpanMm: 68, clampForceN: 4200 },
    drag: { sessions: [] },
    cone: { pitchMm: 1, trials: [{ turnDeg: 0, feel: 'tight' }] },
  },
  input,
  run,
});
