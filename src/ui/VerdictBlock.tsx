import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import type { ReactNode } from 'react';
import type { SignId } from '@/core/drawing/signs';
import type { WorkingRow } from '@/core/verdict';
import { StateMark } from './StateMark';
import { Working } from './Working';

/** A verdict with its reasons and its working: none is shown without them. `words` stands in for the state's own. */
export function VerdictBlock({
  state,
  words,
  reasons,
  working,
  children,
}: {
  state: SignId;
  words?: string;
  reasons: string[];
  working: WorkingRow[];
  children?: ReactNode;
}) {
  return (
    <Box aria-live="polite" sx={{ mt: 2.5, borderLeft: '3px solid', borderColor: 'text.primary', pl: 2 }}>
      <Box sx={{ fontSize: '1.3rem', fontWeight: 660, display: 'flex', gap: 1, alignItems: 'center' }}>
        <StateMark state={state} size={27} word={words === undefined} /> {words}
      </Box>
      {reasons.map((reason) => (
        <Typography key={reason}>{reason}</Typography>
      ))}
      {children}
      <Working rows={working} />
    </Box>
  );
}
