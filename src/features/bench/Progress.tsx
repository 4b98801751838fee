'use client';
import Box from '@mui/material/Box';
import { useEffect, useRef } from 'react';
import type { BenchStep } from '../workshop/declared';

/** The steps of the job as a numbered rail, wide enough for a glove; what is done is ticked, the one at hand is filled. */
export function Progress({ steps, at, onGo }: { steps: BenchStep[]; at: number; onGo(index: number): void }) {
  const here = useRef<HTMLButtonElement>(null);
  useEffect(() => {
    // Braces matter: newer browsers give back a promise here, and an effect may only give back its clean-up.
    void here.current?.scrollIntoView?.({ inline: 'center', block: 'nearest' });
  }, [at, steps.length]);
  return (
    <Box
      component="ol"
      aria-label="Steps"
      sx={{ display: 'flex', gap: '4px', p: '4px', m: 0, listStyle: 'none', overflowX: 'auto', scrollbarWidth: 'none' }}
    >
      {steps.map((step, i) => {
        const current = i === at;
        return (
          <Box component="li" key={step.id} sx={{ flex: '1 0 48px', maxWidth: 120 }}>
            <Box
              component="button"
              ref={current ? here : undefined}
              onClick={() => onGo(i)}
              title={step.title}
              aria-label={`Step ${i + 1}: ${step.title}${step.done ? ', done' : ''}`}
              aria-current={current ? 'step' : undefined}
              sx={{
                all: 'unset',
                boxSizing: 'border-box',
                display: 'flex',
                alignItems: 'center',
                justifyContent: 'center',
                gap: '3px',
                width: '100%',
                height: 48,
                cursor: 'pointer',
                fontWeight: 660,
                fontSize: '1.05rem',
                border: step.done || current ? '1.5px solid' : '1.5px dashed',
                borderColor: current ? 'primary.main' : step.done ? 'text.primary' : 'text.secondary',
                bgcolor: current ? 'primary.main' : 'transparent',
                color: current ? 'primary.contrastText' : step.done ? 'text.primary' : 'text.secondary',
                '&:focus-visible': { outline: '3px solid', outlineColor: 'primary.main', outlineOffset: '1px' },
              }}
            >
              {i + 1}
              {step.done && <span aria-hidden="true">✓</span>}
            </Box>
          </Box>
        );
      })}
    </Box>
  );
}
