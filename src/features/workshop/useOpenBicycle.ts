'use client';
import { own } from '@/core/own';
import { useEffect, useState } from 'react';
import type { Bicycle } from '@/model/record';
import { useWorkshop, useWorkshopState } from './WorkshopProvider';

/** A bicycle, read whole when it is first asked for; `missing` once it is known that there is none. */
export function useOpenBicycle(id: string): { bicycle: Bicycle | undefined; missing: boolean } {
  const workshop = useWorkshop();
  const bicycle = useWorkshopState((state) => own(state.bicycles, id));
  const [gone, setGone] = useState<string | null>(null);
  useEffect(() => {
    let left = false;
    if (!bicycle) void workshop.open(id).then((read) => !left && !read && setGone(id));
    return () => {
      left = true;
    };
  }, [workshop, id, bicycle]);
  return { bicycle, missing: !bicycle && gone === id };
}
