'use client';
import type { LookOver } from '@/core/inspect/lookOver';
import type { Bolt } from '@/core/rebuild/bolts';
import type { SettingUp } from '@/core/setup/steps';
import type { Bicycle } from '@/model/record';
import { setupInput } from '@/model/setup/questions';
import { useReckon } from '../workshop/useReckon';
import { useSettings } from '../workshop/WorkshopProvider';

/** How everything is set up, what is done of it, and what it waits for; null until it is reckoned. */
export function useSettingUp(bicycle: Bicycle, bolts: Bolt[] | null, lookOver: LookOver | null): SettingUp | null {
  return useReckon('setup.steps', setupInput(bicycle, useSettings(), { bolts, lookOver })).output;
}
