'use client';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import IconButton from '@mui/material/IconButton';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import { Close } from '@/ui/icons';
import { useRef, useState } from 'react';
import { caliperKeys, caliperReading } from '@/sim/caliper';
import { READING_EVENT } from '@/ui/readingEvent';

const THINGS = [
  ['a ball, 1/4 in', 6.35],
  ['a ball, 3/16 in', 4.7625],
  ['a ball, 5/32 in', 3.9688],
  ['a ball, 3/32 in', 2.3813],
  ['a cartridge, its bore', 15],
  ['a cartridge, its outside', 28],
  ['a cartridge, its width', 7],
  ['a seat post', 27.2],
  ['a disc', 1.52],
  ['a worn chain, 24 pitches', 306.9],
  ['brake rubber', 4.6],
] as const;

/** Presses keys as a data lead does: where the focus is, or nowhere. */
function press(keys: string[]): void {
  const field = document.activeElement;
  if (field instanceof HTMLInputElement && field.dataset.reading) {
    field.dispatchEvent(new CustomEvent(READING_EVENT, { detail: keys.slice(0, -1).join('') }));
    return;
  }
  for (const key of keys)
    document.body.dispatchEvent(new KeyboardEvent('keydown', { key, bubbles: true, cancelable: true }));
}

/** The made-up caliper of the demonstration: choose what lies between its jaws, press its button. */
export function CaliperPanel({ onClose }: { onClose(): void }) {
  const [thing, setThing] = useState(0);
  const [last, setLast] = useState<string | null>(null);
  const seed = useRef(1);
  return (
    <Box
      role="region"
      aria-label="Made-up caliper"
      className="no-print"
      sx={{
        position: 'fixed',
        right: 16,
        bottom: { xs: 76, md: 16 },
        zIndex: 20,
        bgcolor: 'sheet.raised',
        border: '1.5px solid',
        borderColor: 'text.primary',
        p: 1.5,
        display: 'flex',
        gap: 1,
        alignItems: 'center',
        flexWrap: 'wrap',
        maxWidth: 'calc(100vw - 32px)',
      }}
    >
      <TextField
        select
        label="Between the jaws"
        value={thing}
        onChange={(event) => setThing(Number(event.target.value))}
        sx={{ minWidth: 190 }}
      >
        {THINGS.map(([label], i) => (
          <MenuItem key={label} value={i}>
            {label}
          </MenuItem>
        ))}
      </TextField>
      <Box sx={{ minWidth: 84, fontSize: '1.3rem', fontWeight: 660, textAlign: 'right' }}>{last ?? '–'}</Box>
      <Button
        variant="outlined"
        // The field keeps the focus, as it does when the button of a real caliper is pressed.
        onMouseDown={(event) => event.preventDefault()}
        onClick={() => {
          const reading = caliperReading(THINGS[thing]![1], seed.current++);
          setLast(reading.toFixed(2));
          press(caliperKeys(reading));
        }}
      >
        Send
      </Button>
      <IconButton aria-label="Put the caliper away" onClick={onClose}>
        <Close fontSize="small" />
      </IconButton>
    </Box>
  );
}
