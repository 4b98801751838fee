'use client';
import type { BearingBench } from '@/core/bearings/benchTypes';
import type { Bearing } from '@/model/bearings/part';
import { settingInput } from '@/model/bearings/questions';
import type { Bicycle } from '@/model/record';
import { useReckon } from '../workshop/useReckon';
import { useSettings, useWorkshopState } from '../workshop/WorkshopProvider';

/** What is reckoned of a bearing while it is set: the skewer's allowance, this bench's drag, the next turn. */
export function useSetting(bicycle: Bicycle, bearing: Bearing, bench: BearingBench) {
  const summaries = useWorkshopState((state) => state.summaries);
  const question = settingInput(bicycle, bearing, bench, useSettings(), Object.values(summaries));
  const { output, errors, pending } = useReckon('bearings.setting', question);
  return { errors, pending, ...(output ?? { allowance: null, allowanceDeg: 0, drag: null, advice: null }) };
}
export type Setting = ReturnType<typeof useSetting>;
