'use client';
import Box from '@mui/material/Box';
import IconButton from '@mui/material/IconButton';
import InputBase from '@mui/material/InputBase';
import { Minus, Plus } from '@/ui/toolIcons';
import { useState } from 'react';

const MOST_BALLS = 200;

/** Balls counted one by one with a thumb, or all at once: the number itself is typed over. */
export function BallCounter({
  label,
  count,
  onCount,
  large = false,
}: {
  label: string;
  count: number | null;
  onCount(count: number): void;
  large?: boolean;
}) {
  const [typed, setTyped] = useState<string | null>(null);
  const step = (by: number) => onCount(Math.min(MOST_BALLS, Math.max(0, (count ?? 0) + by)));
  const take = () => {
    const digits = typed?.trim() ?? '';
    if (/^\d{1,3}$/.test(digits) && Number(digits) <= MOST_BALLS && Number(digits) !== count) onCount(Number(digits));
    setTyped(null);
  };
  return (
    <Box
      role="group"
      aria-label={label}
      sx={{
        display: 'inline-flex',
        alignItems: 'center',
        border: '1px solid',
        borderColor: 'divider',
        borderRadius: '3px',
        bgcolor: 'sheet.raised',
      }}
    >
      <IconButton
        aria-label={`${label}: one less`}
        onClick={() => step(-1)}
        disabled={!count}
        sx={{ borderRadius: 0, width: large ? 84 : 52, height: large ? 96 : 56 }}
      >
        <Minus />
      </IconButton>
      <Box aria-live="polite" sx={{ minWidth: large ? 120 : 64, textAlign: 'center' }}>
        <InputBase
          value={typed ?? count ?? ''}
          placeholder="–"
          onFocus={(event) => event.target.select()}
          onChange={(event) => setTyped(event.target.value)}
          onBlur={take}
          onKeyDown={(event) => {
            if (event.key === 'Enter') take();
            if (event.key === 'Escape') setTyped(null);
          }}
          inputProps={{ inputMode: 'numeric', 'aria-label': `${label}: how many`, maxLength: 3 }}
          sx={{
            width: large ? 120 : 64,
            '& input': {
              textAlign: 'center',
              p: 0,
              fontSize: large ? '3.2rem' : '1.8rem',
              fontWeight: 660,
              lineHeight: 1,
              height: large ? '3.4rem' : '1.9rem',
            },
          }}
        />
        <Box sx={{ fontSize: '0.78rem', color: 'text.secondary' }}>{label}</Box>
      </Box>
      <IconButton
        aria-label={`${label}: one more`}
        onClick={() => step(1)}
        color="primary"
        sx={{ borderRadius: 0, width: large ? 84 : 52, height: large ? 96 : 56 }}
      >
        <Plus />
      </IconButton>
    </Box>
  );
}
