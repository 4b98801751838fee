'use client';
import type { LookOver } from '@/core/inspect/lookOver';
import type { Bicycle } from '@/model/record';
import { lookOverInput } from '@/model/inspect/questions';
import { useReckon } from './useReckon';
import { useToday } from './useToday';
import { useSettings } from './WorkshopProvider';

/** The look-over of a bicycle as it stands now, with every finding judged. */
export function useFindings(bicycle: Bicycle): LookOver | null {
  const settings = useSettings();
  const today = useToday();
  return useReckon('inspect.lookOver', lookOverInput(bicycle, settings, today)).output;
}
