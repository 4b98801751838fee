'use client';
import Box from '@mui/material/Box';
import IconButton from '@mui/material/IconButton';
import Typography from '@mui/material/Typography';
import { ArrowLeft } from '@/ui/toolIcons';
import type { ReactNode } from 'react';

/** What is open within a stage, and the way back to all of it; on a phone that way lies at the foot. */
export function ViewHeading({ back, onBack, children }: { back: string; onBack(): void; children: ReactNode }) {
  return (
    <Box sx={{ display: 'flex', alignItems: 'center', gap: 0.5, ml: { md: -1.5 } }}>
      <IconButton
        aria-label={back}
        title={back}
        color="inherit"
        onClick={onBack}
        sx={{ display: { xs: 'none', md: 'inline-flex' } }}
      >
        <ArrowLeft />
      </IconButton>
      <Typography variant="h2" sx={{ fontSize: { xs: '1.4rem', md: '1.6rem' } }}>
        {children}
      </Typography>
    </Box>
  );
}
