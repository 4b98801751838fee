import fc from 'fast-check';
import { runs } from '../../../tests/runs';
import { answer } from '../calculator';
import { bearingsAdjustCone } from './adjustCone';
import { bearingsClampAllowance } from './clampAllowance';
import { FEELS } from './coneBelief';
import { bearingsLearnDrag } from './learnDrag';
import { bearingsSetting } from './setting';

const trial = fc.record({
  turnDeg: fc.integer({ min: -30, max: 30 }),
  feel: fc.constantFrom(...FEELS),
  clamped: fc.boolean(),
});
const axle = fc.record({
  axle: fc.record({ majorMm: fc.constantFrom(9, 10), pitchMm: fc.constant(1), boreMm: fc.constantFrom(0, 5.2) }),
  coneSpanMm: fc.integer({ min: 40, max: 80 }),
  clampForceN: fc.integer({ min: 0, max: 6000 }),
});

function told<Output>(result: { ok: true; output: Output } | { ok: false; errors: unknown }): Output {
  if (!result.ok) throw new Error(JSON.stringify(result.errors));
  return result.output;
}

test('asked at once it says what the three say who are asked one after the other', () => {
  fc.assert(
    fc.property(
      fc.option(axle),
      fc.array(fc.array(trial, { maxLength: 4 }), { maxLength: 2 }),
      fc.array(trial, { maxLength: 4 }),
      (squeeze, sessions, trials) => {
        const whole = told(answer(bearingsSetting, { squeeze, drag: { sessions }, cone: { pitchMm: 1, trials } }));
        const allowance = squeeze && told(answer(bearingsClampAllowance, squeeze));
        const allowanceDeg = allowance?.coneTurnDeg ?? 0;
        const drag = told(
          answer(bearingsLearnDrag, { sessions: sessions.map((each) => ({ allowanceDeg, trials: each })) }),
        );
        const advice = told(
          answer(bearingsAdjustCone, { pitchMm: 1, allowanceDeg, lockShift: drag.lockShift, trials }),
        );
        expect(whole).toEqual({ allowance, allowanceDeg, drag, advice });
      },
    ),
    { numRuns: runs(40, 6) },
  );
});

test('an axle that would give more than a quarter of a turn is measured again', () => {
  const squeeze = { axle: { majorMm: 3, pitchMm: 0.5, boreMm: 2 }, coneSpanMm: 400, clampForceN: 20_000 };
  expect(answer(bearingsSetting, { squeeze, drag: { sessions: [] }, cone: { pitchMm: 1, trials: [] } })).toEqual({
    ok: false,
    errors: [{ path: 'squeeze', message: expect.stringContaining('measure it again') as string }],
  });
});
