'use client';
import Box from '@mui/material/Box';
import type { ReactNode } from 'react';
import type { IndexAdvice } from '@/core/drive/indexing';
import { StateMark } from '@/ui/StateMark';

const CAUSES: Record<IndexAdvice['cause'], string> = {
  set: 'It is set',
  'cable-tension': 'Cable tension',
  friction: 'Friction',
  'hanger-or-mismatch': 'The hanger, or parts that do not match',
  unclear: 'It does not tell yet',
};

/** What the shifts say: what is wrong, and what to turn or to look at instead. */
export function Advice({ advice, children }: { advice: IndexAdvice; children?: ReactNode }) {
  const signed = (mm: number) => {
    const size = Math.abs(mm).toFixed(1);
    return size === '0.0' ? size : `${mm > 0 ? '+' : '−'}${size}`;
  };
  return (
    <Box role="status" aria-label="What the shifts say" sx={{ my: 1.5, maxWidth: 620 }}>
      <Box sx={{ fontSize: '1.5rem', fontWeight: 660, lineHeight: 1.25 }}>
        {advice.cause === 'set' && <StateMark state="fine" word={false} size={26} />}{' '}
        {advice.next ? advice.next.words : CAUSES[advice.cause]}
      </Box>
      {advice.reasons.map((reason) => (
        <Box key={reason}>{reason}</Box>
      ))}
      {children}
      <Box sx={{ color: 'text.secondary', fontSize: '0.92rem', mt: 0.5, fontVariantNumeric: 'tabular-nums' }}>
        Stands {signed(advice.offsetMm.mean)} mm ± {advice.offsetMm.sd.toFixed(1)}, plus towards the larger cogs; leans{' '}
        {signed(advice.driftMmPerGear.mean)} mm a gear; drags {advice.frictionMm.mean.toFixed(1)} mm.
      </Box>
    </Box>
  );
}
