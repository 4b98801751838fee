'use client';
import Box from '@mui/material/Box';
import { ballsDue, checkCounts } from '@/core/bearings/counts';
import { ballRowLabel } from '@/core/strip/tray';
import type { SideCount } from '@/model/bearings/part';
import { BallCounter } from '../strip/BallCounter';
import { CountQuestion } from '../strip/CountQuestion';

/** Three numbers of one side: out, holds, in. What does not agree is asked about. */
export function BallSide({
  side,
  counts,
  caged = false,
  onChange,
}: {
  side: string;
  /** Held in a retainer. */
  caged?: boolean;
  counts: SideCount;
  onChange(changes: Partial<SideCount>): void;
}) {
  const due = ballsDue(counts);
  return (
    <Box role="group" aria-label={`Balls, ${ballRowLabel(side).toLowerCase()}`}>
      <Box sx={{ fontWeight: 640, mb: 1 }}>
        {ballRowLabel(side)}{' '}
        {due !== null && (
          <Box component="span" sx={{ color: 'text.secondary', fontWeight: 400 }}>
            {due} belong
          </Box>
        )}
      </Box>
      <Box sx={{ display: 'flex', gap: 1.5, flexWrap: 'wrap' }}>
        <BallCounter label={`out, ${side}`} count={counts.out} onCount={(out) => onChange({ out, answer: null })} />
        <BallCounter
          label={`holds, ${side}`}
          count={counts.holds}
          onCount={(holds) => onChange({ holds, answer: null })}
        />
        <BallCounter label={`in, ${side}`} count={counts.in} onCount={(put) => onChange({ in: put, answer: null })} />
      </Box>
      <CountQuestion
        check={checkCounts(counts, caged)}
        answer={counts.answer}
        onAnswer={(answer) => onChange({ answer })}
      />
    </Box>
  );
}
