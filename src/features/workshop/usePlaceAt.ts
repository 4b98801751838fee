'use client';
import { knownPlace } from '@/core/vocabulary/vocabulary';
import type { Stage } from '@/model/stages';
import { useSearchParams } from 'next/navigation';

/** What of a place is opened further, in the address; another place starts closed. */
export const SHOWN = 'show';

/**
 * The place that is open within a stage, as the address says, so that a label's code opens it; null shows all of them. Going
 * back in the browser closes it, however many were gone through.
 */
export function usePlaceAt(): [string | null, (place: string | null) => void] {
  const params = useSearchParams();
  const now = knownPlace(params.get('tray'));
  const go = (place: string | null) => {
    const next = new URLSearchParams(params);
    next.delete(SHOWN);
    if (place === null) next.delete('tray');
    else next.set('tray', place);
    const way = now !== null && place !== null ? 'replaceState' : 'pushState';
    window.history[way](null, '', `?${next.toString()}`);
  };
  return [now, go];
}

/** The address that opens a place within a stage. It says "tray", as labels that were printed do. */
export function placeHref(bicycleId: string, stage: Stage, place: string): string {
  return `/bike?id=${encodeURIComponent(bicycleId)}&stage=${stage}&tray=${encodeURIComponent(place)}`;
}
