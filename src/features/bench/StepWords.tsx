'use client';
import Box from '@mui/material/Box';
import type { BenchStep } from '../workshop/declared';
import { WhichWay } from '../workshop/WhichWay';

/** What a step says, legible from two metres: its title, its figure, the tool, and what is easily forgotten. */
export function StepWords({
  step,
  number,
  of,
  beside,
}: {
  step: BenchStep;
  number: number;
  of: number;
  /** What is easily forgotten stands beside it, or beneath what is asked. */
  beside: boolean;
}) {
  return (
    <>
      <Box sx={{ color: 'text.secondary', fontSize: '1.1rem' }}>
        Step {number} of {of}
        {step.done && ', done'}
      </Box>
      <Box
        component="h2"
        aria-live="polite"
        sx={{
          m: 0,
          fontSize: { xs: '1.9rem', md: step.asksMuch ? '2.4rem' : '3.6rem' },
          lineHeight: 1.08,
          fontWeight: 680,
          letterSpacing: '-0.015em',
          textWrap: 'balance',
          overflowWrap: 'anywhere',
        }}
      >
        {step.title}
      </Box>
      {step.large && (
        <Box
          sx={{
            fontSize: { xs: '2.8rem', md: '5.4rem' },
            fontWeight: 700,
            lineHeight: 1.1,
            letterSpacing: '-0.025em',
            mt: 1,
            color: 'primary.main',
          }}
        >
          {step.large}
        </Box>
      )}
      {step.aside && <Box sx={{ fontSize: { xs: '1.1rem', md: '1.4rem' }, mt: 1, maxWidth: '46ch' }}>{step.aside}</Box>}
      {step.turn && (
        <Box sx={{ mt: 1.5 }}>
          <WhichWay question={step.turn} large />
        </Box>
      )}
      {step.tool && (
        <Box sx={{ fontSize: { xs: '1.1rem', md: '1.35rem' }, mt: 1 }}>
          <Box component="span" sx={{ color: 'text.secondary' }}>
            Tool:{' '}
          </Box>
          {step.tool}
        </Box>
      )}
      {step.forget && !beside && <Forgotten step={step} small={step.asksMuch} />}
    </>
  );
}

/** What is easily forgotten at a step. */
export function Forgotten({ step, small }: { step: BenchStep; small: boolean }) {
  return (
    <Box
      sx={{
        fontSize: { xs: '1.2rem', md: small ? '1.25rem' : '1.8rem' },
        fontWeight: 620,
        mt: 2,
        borderLeft: '5px solid',
        borderColor: 'text.primary',
        pl: 2,
        maxWidth: '40ch',
      }}
    >
      {step.forget}
    </Box>
  );
}
