'use client';
import { own } from '@/core/own';
import { useDeferredValue, useEffect, useState } from 'react';
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
  // A whole bicycle takes long to draw at first, and is drawn piece by piece; each change after that at once.
  const drawn = useDeferredValue(bicycle !== undefined);
  return { bicycle: drawn ? bicycle : undefined, missing: !bicycle && gone === id };
}
