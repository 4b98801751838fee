'use client';
import type { BuyAppraisal } from '@/core/buy/appraise';
import type { Bicycle } from '@/model/record';
import { appraisalInput } from '@/model/buy/questions';
import { useReckon, type Reckoning } from './useReckon';
import { useSettings } from './WorkshopProvider';
import { useTaught } from './useTaught';

/** The appraisal of a bicycle as it stands: door check, ceiling, drive. */
export function useAppraisal(bicycle: Bicycle): Reckoning<BuyAppraisal> {
  return useReckon('buy.appraise', appraisalInput(bicycle, useSettings(), useTaught(bicycle.id)));
}

/** The most that may be paid by the buyer's own lines, or null where it is not known yet. Minor units. */
export function useCeiling(bicycle: Bicycle): number | null {
  return useAppraisal(bicycle).output?.appraisal?.ceiling ?? null;
}
