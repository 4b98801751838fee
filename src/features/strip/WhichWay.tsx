'use client';
import RotateLeft from '@mui/icons-material/RotateLeft';
import RotateRight from '@mui/icons-material/RotateRight';
import Box from '@mui/material/Box';
import type { Turn, TurnInput } from '@/core/strip/turn';
import { useReckon } from '../workshop/useReckon';

/** Which way a fastener turns: arrow, words, and where the spanner goes. */
export function WhichWay({ question }: { question: TurnInput }) {
  const { output: turn } = useReckon<Turn>('strip.turn', question);
  if (!turn) return null;
  const Arrow = turn.rotation === 'clockwise' ? RotateRight : RotateLeft;
  return (
    <Box sx={{ display: 'flex', gap: 1.5, alignItems: 'center', my: 1 }}>
      {turn.rotation !== 'unknown' && <Arrow sx={{ fontSize: 44, color: 'primary.main' }} />}
      <Box>
        <Box sx={{ fontSize: '1.15rem', fontWeight: 640 }}>
          {turn.rotation === 'unknown'
            ? 'Unknown: identify first'
            : `${turn.rotation === 'clockwise' ? 'Clockwise' : 'Anticlockwise'}, ${turn.hand}-hand thread`}
        </Box>
        <Box sx={{ fontSize: '0.9rem', color: 'text.secondary' }}>{turn.words}</Box>
      </Box>
    </Box>
  );
}
