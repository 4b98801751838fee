'use client';
import type { LookOver } from '@/core/inspect/lookOver';
import type { Bolt } from '@/core/rebuild/bolts';
import type { Bicycle } from '@/model/record';
import { orderInput } from '@/model/rebuild/building';
import { useReckon } from '../workshop/useReckon';
import { useTrays } from '../workshop/useTrays';
import { useSettings } from '../workshop/WorkshopProvider';

/** What goes on now and what waits for what; null until it is reckoned. */
export function useBuildOrder(bicycle: Bicycle, bolts: Bolt[] | null, lookOver: LookOver | null) {
  const trays = useTrays(bicycle);
  const settings = useSettings();
  return useReckon(
    'rebuild.order',
    trays && bolts ? orderInput(bicycle, trays.trays, bolts, lookOver, settings) : null,
  );
}
