'use client';
import Add from '@mui/icons-material/Add';
import Remove from '@mui/icons-material/Remove';
import Box from '@mui/material/Box';
import IconButton from '@mui/material/IconButton';

/** Balls counted one by one with a thumb, or typed with + and − on the keyboard. */
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
  const step = (by: number) => onCount(Math.min(200, Math.max(0, (count ?? 0) + by)));
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
        <Remove />
      </IconButton>
      <Box aria-live="polite" sx={{ minWidth: large ? 120 : 64, textAlign: 'center' }}>
        <Box sx={{ fontSize: large ? '3.2rem' : '1.8rem', fontWeight: 660, lineHeight: 1 }}>{count ?? '–'}</Box>
        <Box sx={{ fontSize: '0.78rem', color: 'text.secondary' }}>{label}</Box>
      </Box>
      <IconButton
        aria-label={`${label}: one more`}
        onClick={() => step(1)}
        color="primary"
        sx={{ borderRadius: 0, width: large ? 84 : 52, height: large ? 96 : 56 }}
      >
        <Add />
      </IconButton>
    </Box>
  );
}
