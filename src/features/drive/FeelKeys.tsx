'use client';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { FEELS, type Feel } from '@/core/drive/shifts';
import { FEEL_WORDS } from './Cassette';

/** How the shift that is asked for felt, in five large keys. */
export function FeelKeys({ disabled, onFelt }: { disabled: boolean; onFelt(feel: Feel): void }) {
  return (
    <Box
      role="group"
      aria-label="How it took"
      sx={{ display: 'flex', gap: 0.75, flexWrap: 'wrap', my: 1.5, maxWidth: 620 }}
    >
      {FEELS.map((feel) => (
        <Button
          key={feel}
          variant="outlined"
          color="inherit"
          disabled={disabled}
          sx={{ minHeight: 60, flex: '1 0 96px', fontWeight: 640 }}
          onClick={() => onFelt(feel)}
        >
          {FEEL_WORDS[feel]}
        </Button>
      ))}
    </Box>
  );
}
