'use client';
import type { ServiceDue } from '@/core/bearings/serviceDue';
import { serviceInput } from '@/model/bearings/questions';
import type { Bicycle } from '@/model/record';
import { bearingFor } from '@/model/bearings/bearingFor';
import { useReckon } from '../workshop/useReckon';
import { useBenches } from '../workshop/useBenches';

/** When each bearing that was serviced is due again, the soonest first. */
export function useServices(bicycle: Bicycle): (ServiceDue & { place: string })[] {
  const benches = useBenches(bicycle);
  const bearings = (benches?.benches ?? []).flatMap(({ place, kind }) => {
    const question = serviceInput(bicycle, bearingFor(bicycle, place), kind);
    return question ? [{ place, question }] : [];
  });
  const { output } = useReckon('bearings.serviceSet', bearings.length > 0 ? { bearings } : null);
  return output?.due ?? [];
}
