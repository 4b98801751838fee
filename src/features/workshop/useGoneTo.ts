'use client';
import { useEffect } from 'react';

const LOOK_MS = 100;
const LOOKS = 30;

/** Goes to what the address names, also where it is drawn only a little later. */
export function useGoneTo(): void {
  useEffect(() => {
    const id = decodeURIComponent(window.location.hash.slice(1));
    if (id === '') return;
    let looks = 0;
    const timer = setInterval(() => {
      const found = document.getElementById(id);
      if (found || ++looks > LOOKS) clearInterval(timer);
      found?.scrollIntoView();
      found?.querySelector<HTMLElement>('button, input')?.focus({ preventScroll: true });
    }, LOOK_MS);
    return () => clearInterval(timer);
  }, []);
}
