'use client';
import { useReckon } from '../workshop/useReckon';
import type { StuckInput } from '@/core/strip/stuck';
import type { Seized } from '@/model/strip/part';

/** What the ladder says of a stuck part; what it costs an hour comes from the house. */
export function useLadder(row: Seized, ratePerHour: number) {
  const { part, partMaterial, aroundMaterial, paintMatters, partValue, aroundValue, tried } = row;
  const input: StuckInput = {
    part,
    partMaterial,
    aroundMaterial,
    paintMatters,
    partValue,
    aroundValue,
    ratePerHour,
    tried: tried.map(({ step, soakMinutes }) => ({ step, soakMinutes })),
  };
  return useReckon('strip.stuck', input);
}
