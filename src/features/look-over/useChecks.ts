'use client';
import type { Check } from '@/core/inspect/check';
import type { BicycleKind } from '@/core/bicycle';
import { useReckon } from '../workshop/useReckon';

/** The checks of a bicycle; null until they are there. */
export function useChecks(kind: BicycleKind): Check[] | null {
  return useReckon('inspect.checks', { kind }).output?.checks ?? null;
}
