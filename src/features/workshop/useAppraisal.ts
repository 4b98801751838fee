'use client';
import type { BuyAppraisal } from '@/core/buy/appraise';
import type { Bicycle } from '@/model/record';
import { appraisalInput } from '@/model/buy/questions';
import { useJobs } from './useJobs';
import { useReckon, type Reckoning } from './useReckon';
import { useSettings } from './WorkshopProvider';
import { useLearnt } from './useLearnt';

const NOTHING_TRIED = {};

/**
 * The appraisal of a bicycle as it stands, from everything that any stage knows: door check, costs, the one limit, the drive.
 * `tried` is a what-if: jobs that count or do not, without spoiling the plan.
 */
export function useAppraisal(
  bicycle: Bicycle,
  tried: Readonly<Record<string, boolean>> = NOTHING_TRIED,
): Reckoning<BuyAppraisal> {
  const { lookOver, jobs } = useJobs(bicycle);
  const settings = useSettings();
  const learnt = useLearnt();
  const known = lookOver && jobs && learnt ? { lookOver, jobs, learnt } : null;
  const found = useReckon('buy.appraise', known && appraisalInput(bicycle, settings, known.learnt, known, tried));
  return known ? found : { ...found, pending: true };
}
