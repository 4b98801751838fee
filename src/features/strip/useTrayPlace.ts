'use client';
import { knownPlace } from '@/core/vocabulary/vocabulary';
import { useSearchParams } from 'next/navigation';

/** What of a tray is opened further, in the address; another tray starts closed. */
export const SHOWN = 'show';

/** The tray that is open, as the address says, so that a label's code opens it; null shows all of them. */
export function useTrayPlace(): [string | null, (place: string | null) => void] {
  const params = useSearchParams();
  const go = (place: string | null) => {
    const next = new URLSearchParams(params);
    next.delete(SHOWN);
    if (place === null) next.delete('tray');
    else next.set('tray', place);
    window.history.pushState(null, '', `?${next.toString()}`);
  };
  return [knownPlace(params.get('tray')), go];
}

/** The address that opens a tray. */
export function trayHref(bicycleId: string, place: string): string {
  return `/bike?id=${encodeURIComponent(bicycleId)}&stage=strip&tray=${encodeURIComponent(place)}`;
}
