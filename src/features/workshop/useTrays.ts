'use client';
import type { Trays } from '@/core/strip/trays';
import type { Bicycle } from '@/model/record';
import { chosenAssemblies } from '@/model/strip/trays';
import { useReckon } from './useReckon';

/** How this bicycle comes apart; null until the tables are there. */
export function useTrays(bicycle: Bicycle): Trays | null {
  return useReckon('strip.trays', { kind: bicycle.kind, chosen: chosenAssemblies(bicycle) }).output;
}
