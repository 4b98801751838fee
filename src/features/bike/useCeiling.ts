'use client';
import type { Appraisal } from '@/core/money/appraise';
import type { Bicycle } from '@/model/record';
import { appraisalInput } from '@/model/selectors';
import { useReckon } from '../workshop/useReckon';
import { useSettings } from '../workshop/WorkshopProvider';

/** The most to pay for a bicycle, or null while it is not known what it may fetch. Minor units. */
export function useCeiling(bicycle: Bicycle): number | null {
  const settings = useSettings();
  const known = bicycle.appraisal.resale.high > 0;
  return (
    useReckon<Appraisal>('money.appraise', known ? appraisalInput(bicycle, settings) : null).output?.ceiling ?? null
  );
}
