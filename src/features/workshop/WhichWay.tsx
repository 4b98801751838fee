'use client';
import Box from '@mui/material/Box';
import { TurnLeft, TurnRight } from '@/ui/toolIcons';
import type { TurnInput } from '@/core/strip/turn';
import { useReckon } from './useReckon';

/** Which way a fastener turns: arrow, words, and where the spanner goes. */
export function WhichWay({ question, large = false }: { question: TurnInput; large?: boolean }) {
  const { output: turn } = useReckon('strip.turn', question);
  if (!turn) return null;
  const Arrow = turn.rotation === 'clockwise' ? TurnRight : TurnLeft;
  return (
    <Box sx={{ display: 'flex', gap: 1.5, alignItems: 'center', my: 1 }}>
      {turn.rotation !== 'unknown' && <Arrow sx={{ fontSize: large ? 92 : 44, color: 'primary.main' }} />}
      <Box>
        <Box sx={{ fontSize: large ? '1.9rem' : '1.15rem', fontWeight: 660 }}>
          {turn.rotation === 'unknown'
            ? 'Unknown: identify first'
            : `${turn.rotation === 'clockwise' ? 'Clockwise' : 'Anticlockwise'}, ${turn.hand}-hand thread`}
        </Box>
        <Box sx={{ fontSize: large ? '1.1rem' : '0.9rem', color: 'text.secondary', maxWidth: '52ch' }}>
          {turn.words}
        </Box>
      </Box>
    </Box>
  );
}
