'use client';
import type { ConeAdvice } from '@/core/bearings/adjustCone';
import type { BearingBench } from '@/core/bearings/benchTypes';
import type { ClampAllowance } from '@/core/bearings/clampAllowance';
import type { LearntDrag } from '@/core/bearings/learnDrag';
import { allowanceInput, coneInput, dragInput } from '@/model/bearings/questions';
import type { Bicycle } from '@/model/record';
import type { Bearing } from '@/model/bearings/part';
import { useReckon } from '../workshop/useReckon';
import { useSettings, useWorkshopState } from '../workshop/WorkshopProvider';

/** What is reckoned of a bearing while it is set: the skewer's allowance, this bench's drag, the next turn. */
export function useSetting(bicycle: Bicycle, bearing: Bearing, bench: BearingBench) {
  const settings = useSettings();
  const summaries = useWorkshopState((state) => state.summaries);
  const squeezed = allowanceInput(bearing, bench);
  const allowance = useReckon<ClampAllowance>('bearings.clampAllowance', squeezed);
  const allowanceDeg = squeezed ? (allowance.output?.coneTurnDeg ?? null) : 0;
  const drag = useReckon<LearntDrag>(
    'bearings.learnDrag',
    allowanceDeg === null ? null : dragInput(bench, bearing.place, bicycle.id, Object.values(summaries), allowanceDeg),
  );
  const advice = useReckon<ConeAdvice>(
    'bearings.adjustCone',
    allowanceDeg === null || !drag.output
      ? null
      : coneInput(bearing, bench, settings, allowanceDeg, drag.output.lockShift),
  );
  return {
    allowance: allowance.output,
    allowanceDeg: allowanceDeg ?? 0,
    errors: [...allowance.errors, ...drag.errors, ...advice.errors],
    drag: drag.output,
    advice: advice.output,
    pending: advice.pending || drag.pending || allowance.pending,
  };
}
export type Setting = ReturnType<typeof useSetting>;
