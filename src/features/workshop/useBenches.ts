'use client';
import type { Benches } from '@/core/bearings/bench';
import type { Bicycle } from '@/model/record';
import { chosenAssemblies } from '@/model/strip/trays';
import { useReckon } from './useReckon';

/** The bearings of this bicycle and how each is overhauled; null until the tables are there. */
export function useBenches(bicycle: Bicycle): Benches | null {
  return useReckon('bearings.benches', { kind: bicycle.kind, chosen: chosenAssemblies(bicycle) }).output;
}
