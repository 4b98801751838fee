'use client';
import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import DialogActions from '@mui/material/DialogActions';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import { READING_EVENT } from '@/ui/readingEvent';

export interface HeldField {
  input: HTMLInputElement;
  label: string;
}

const FOCUS_BACK_MS = 60;

/** Asks where a held reading belongs. */
export function HeldDialog({ text, fields, onClose }: { text: string; fields: HeldField[]; onClose(): void }) {
  const give = ({ input }: HeldField) => {
    onClose();
    // The dialog gives the focus back first; the field takes it then.
    setTimeout(() => {
      input.focus();
      input.dispatchEvent(new CustomEvent(READING_EVENT, { detail: text }));
    }, FOCUS_BACK_MS);
  };
  return (
    <Dialog open onClose={onClose} aria-labelledby="held-title" transitionDuration={0}>
      <DialogTitle id="held-title" sx={{ fontSize: '2rem', fontWeight: 680 }}>
        {text}
      </DialogTitle>
      <DialogContent sx={{ display: 'grid', gap: 1, minWidth: 280 }}>
        {fields.length > 0
          ? 'came in with no field open. Where does it belong?'
          : 'came in with no field open, and there is none on this page. Open one, then measure again.'}
        {fields.map((field, i) => (
          <Button key={i} variant="outlined" autoFocus={i === 0} onClick={() => give(field)}>
            {field.label}
          </Button>
        ))}
      </DialogContent>
      <DialogActions>
        <Button color="inherit" onClick={onClose}>
          Drop it
        </Button>
      </DialogActions>
    </Dialog>
  );
}
