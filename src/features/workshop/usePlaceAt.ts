'use client';
import { knownPlace } from '@/core/vocabulary/vocabulary';
import type { Stage } from '@/model/stages';
import { useSearchParams } from 'next/navigation';
import { useEffect, useState } from 'react';

/** What of a place is opened further, in the address; another place starts closed. */
export const SHOWN = 'show';

/** A place as it was gone to, and what the address says meanwhile: it follows a little later. */
interface Gone {
  place: string | null;
  address: string | null;
  /** Places on their way into the address. */
  under: (string | null)[];
}

const placeIn = (address: URLSearchParams | string) => knownPlace(new URLSearchParams(address).get('tray'));

/**
 * The place that is open within a stage, as the address says, so that a label's code opens it; null shows all of them. It is
 * there at once, so that a key pressed right after is heard by it; the address follows. Going back in the browser closes it,
 * however many were gone through. One hook a page: whatever lies within is given the place.
 */
export function usePlaceAt(): [string | null, (place: string | null) => void] {
  const params = useSearchParams();
  const address = placeIn(params);
  const [gone, setGone] = useState<Gone>({ place: address, address, under: [] });
  if (gone.address !== address) {
    const arrived = gone.under.indexOf(address);
    // What was gone to from here arrives in the address; anything else was gone to by the browser.
    setGone(
      arrived >= 0
        ? { place: gone.place, address, under: gone.under.slice(arrived + 1) }
        : { place: address, address, under: [] },
    );
  }
  const written = gone.under.length > 0 && address === gone.place;
  useEffect(() => {
    // Once the address says what is open, nothing is on its way any more, whatever it has skipped.
    // oxlint-disable-next-line react/set-state-in-effect -- only the browser knows what its address says by now
    if (written && placeIn(window.location.search) === address) setGone((now) => ({ ...now, under: [] }));
  }, [written, address]);
  const go = (place: string | null) => {
    if (place === gone.place) return;
    const next = new URLSearchParams(window.location.search);
    next.delete(SHOWN);
    if (place === null) next.delete('tray');
    else next.set('tray', place);
    const way = gone.place !== null && place !== null ? 'replaceState' : 'pushState';
    setGone({ ...gone, place, under: [...gone.under, place] });
    window.history[way](null, '', `?${next.toString()}`);
  };
  return [gone.place, go];
}

/** The address that opens a place within a stage. It says "tray", as labels that were printed do. */
export function placeHref(bicycleId: string, stage: Stage, place: string): string {
  return `/bike?id=${encodeURIComponent(bicycleId)}&stage=${stage}&tray=${encodeURIComponent(place)}`;
}
