'use client';
import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import DialogActions from '@mui/material/DialogActions';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import { useEffect, useState } from 'react';
import { gatherBurst } from '@/ui/burst';
import { READING_EVENT } from '@/ui/ReadingField';

const PAUSE_MS = 150;
const MOST_FIELDS = 8;

interface Field {
  input: HTMLInputElement;
  label: string;
}

function openFields(): Field[] {
  return [...document.querySelectorAll<HTMLInputElement>('input[data-reading]:not([disabled])')]
    .filter((input) => input.offsetParent !== null)
    .map((input) => ({ input, label: input.labels?.[0]?.textContent ?? 'A field' }))
    .slice(0, MOST_FIELDS);
}

/** A reading that an instrument typed while no field was open: held, and asked about, so that it never does anything else. */
export function HeldReading() {
  const [held, setHeld] = useState<{ text: string; fields: Field[] } | null>(null);
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
  const give = ({ input }: Field) => {
    const { text } = held;
    setHeld(null);
    // The dialog gives the focus back first; the field takes it then.
    setTimeout(() => {
      input.focus();
      input.dispatchEvent(new CustomEvent(READING_EVENT, { detail: text }));
    }, 60);
  };
  return (
    <Dialog open onClose={() => setHeld(null)} aria-labelledby="held-title" transitionDuration={0}>
      <DialogTitle id="held-title" sx={{ fontSize: '2rem', fontWeight: 680 }}>
        {held.text}
      </DialogTitle>
      <DialogContent sx={{ display: 'grid', gap: 1, minWidth: 280 }}>
        {held.fields.length > 0
          ? 'came in with no field open. Where does it belong?'
          : 'came in with no field open, and there is none on this page. Open one, then measure again.'}
        {held.fields.map((field, i) => (
          <Button key={i} variant="outlined" autoFocus={i === 0} onClick={() => give(field)}>
            {field.label}
          </Button>
        ))}
      </DialogContent>
      <DialogActions>
        <Button color="inherit" onClick={() => setHeld(null)}>
          Drop it
        </Button>
      </DialogActions>
    </Dialog>
  );
}
