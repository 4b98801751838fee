'use client';
import Box from '@mui/material/Box';
import type { BenchStep } from '../workshop/declared';

/** How far the job is, a mark a step. */
export function Progress({ steps, at, onGo }: { steps: BenchStep[]; at: number; onGo(index: number): void }) {
  return (
    <Box component="ol" aria-label="Steps" sx={{ display: 'flex', gap: '3px', p: 0, m: 0, listStyle: 'none' }}>
      {steps.map((step, i) => (
        <Box component="li" key={step.id} sx={{ flex: 1 }}>
          <Box
            component="button"
            onClick={() => onGo(i)}
            aria-label={`Step ${i + 1}: ${step.title}${step.done ? ', done' : ''}`}
            aria-current={i === at ? 'step' : undefined}
            sx={{
              all: 'unset',
              display: 'block',
              width: '100%',
              height: 24,
              cursor: 'pointer',
              '&::after': {
                content: '""',
                display: 'block',
                height: i === at ? 12 : 6,
                mt: i === at ? '6px' : '9px',
                bgcolor: i === at ? 'primary.main' : step.done ? 'text.primary' : 'divider',
              },
              '&:focus-visible': { outline: '3px solid', outlineColor: 'primary.main' },
            }}
          />
        </Box>
      ))}
    </Box>
  );
}
