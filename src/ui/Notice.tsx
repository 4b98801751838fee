'use client';
import Box from '@mui/material/Box';
import type { ReactNode } from 'react';
import { StateMark, stateColour } from './StateMark';

/** A line across the page that says something that matters, with what can be done about it. */
export function Notice({ tone, children, action }: { tone: 'bad' | 'plain'; children: ReactNode; action?: ReactNode }) {
  return (
    <Box
      role={tone === 'bad' ? 'alert' : 'status'}
      className="no-print"
      sx={{
        display: 'flex',
        gap: 1.5,
        alignItems: 'center',
        flexWrap: 'wrap',
        px: { xs: 2, md: 3 },
        // On a phone it takes one line of what is worked on.
        py: { xs: 0.25, md: 1 },
        fontSize: { xs: '0.92rem', md: '1rem' },
        bgcolor: 'sheet.raised',
        borderBottom: '1.5px solid',
        borderColor: tone === 'bad' ? stateColour('unsafe') : 'text.primary',
      }}
    >
      {tone === 'bad' && <StateMark state="unsafe" word={false} size={20} />}
      <Box sx={{ flex: 1, minWidth: { xs: 160, md: 220 } }}>{children}</Box>
      {action && <Box sx={{ display: 'flex', gap: 0.5 }}>{action}</Box>}
    </Box>
  );
}
