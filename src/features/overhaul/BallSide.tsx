'use client';
import Box from '@mui/material/Box';
import { ballsDue, checkCounts } from '@/core/bearings/counts';
import { ballRowLabel } from '@/core/strip/tray';
import type { SideCount } from '@/model/bearings/part';
import { BallCounter } from '../strip/BallCounter';
import { CountQuestion } from '../strip/CountQuestion';

const ALL = ['out', 'holds', 'in'] as const;
type Count = (typeof ALL)[number];
const TOLD: Record<Count, string> = { out: 'came out', holds: 'fill the cup', in: 'went in' };

/** Three numbers of one side: out, holds, in. What does not agree is asked about. */
export function BallSide({
  side,
  counts,
  caged = false,
  asks = ALL,
  onChange,
}: {
  side: string;
  /** Held in a retainer. */
  caged?: boolean;
  /** Which of the three are asked for here; what is known of the others is told. */
  asks?: readonly Count[];
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
      <Box sx={{ display: 'flex', gap: 1.5, flexWrap: 'wrap', alignItems: 'center' }}>
        {ALL.map((what) =>
          asks.includes(what) ? (
            <BallCounter
              key={what}
              label={`${what}, ${side}`}
              count={counts[what]}
              onCount={(count) => onChange({ [what]: count, answer: null })}
            />
          ) : (
            counts[what] !== null && (
              <Box key={what}>
                <b>{counts[what]}</b> {TOLD[what]}
              </Box>
            )
          ),
        )}
      </Box>
      <CountQuestion
        check={checkCounts(counts, caged)}
        answer={counts.answer}
        onAnswer={(answer) => onChange({ answer })}
      />
    </Box>
  );
}
