'use client';
import dynamic from 'next/dynamic';
import { useEffect, useState } from 'react';
import { gatherBurst } from '@/ui/burst';
import type { HeldField } from './HeldDialog';

const HeldDialog = dynamic(() => import('./HeldDialog').then((module) => module.HeldDialog), { ssr: false });

const PAUSE_MS = 150;
const MOST_FIELDS = 8;

function openFields(): HeldField[] {
  return [...document.querySelectorAll<HTMLInputElement>('input[data-reading]:not([disabled])')]
    .filter((input) => input.offsetParent !== null)
    .map((input) => ({ input, label: input.labels?.[0]?.textContent ?? 'A field' }))
    .slice(0, MOST_FIELDS);
}

/** A reading that an instrument typed while no field was open: held, and asked about, so that it never does anything else. */
export function HeldReading() {
  const [held, setHeld] = useState<{ text: string; fields: HeldField[] } | null>(null);
  useEffect(() => {
    const burst = gatherBurst();
    let pausing: ReturnType<typeof setTimeout> | undefined;
    const hold = (text: string | null) => {
      if (text) setHeld({ text, fields: openFields() });
    };
    function onKeyDown(event: KeyboardEvent): void {
      const target = event.target as HTMLElement | null;
      if (event.ctrlKey || event.metaKey || event.altKey) return;
      if (target && /^(INPUT|TEXTAREA|SELECT)$/.test(target.tagName)) return;
      // A place that is open with a reading field of its own takes the digits itself.
      if (target?.closest('[data-takes-digits]')) return;
      const { held: taken, reading } = burst.take(event.key, event.timeStamp);
      clearTimeout(pausing);
      if (!taken) return;
      // Enter at the end of a reading must not press the button that happens to have the focus.
      if (event.key !== 'Enter' || reading) event.preventDefault();
      if (reading) {
        event.stopPropagation();
        hold(reading);
      } else pausing = setTimeout(() => hold(burst.pause()), PAUSE_MS);
    }
    document.addEventListener('keydown', onKeyDown, true);
    return () => {
      clearTimeout(pausing);
      document.removeEventListener('keydown', onKeyDown, true);
    };
  }, []);
  if (!held) return null;
  return <HeldDialog text={held.text} fields={held.fields} onClose={() => setHeld(null)} />;
}
