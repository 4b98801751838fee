'use client';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { Suspense } from 'react';
import type { Bicycle } from '@/model/record';
import { useDeclared, type BenchStep } from '../workshop/declared';

function forwardWords(step: BenchStep | undefined, last: boolean): string {
  if (!step) return '…';
  if (last) return step.done || !step.finish ? 'Back to the sheet' : 'Done, that is all';
  if (step.mayLeave) return 'Next, once signed';
  return step.finish && !step.done ? 'Done, next step' : 'Next';
}

/** What runs meanwhile, what is waited for, and the two large keys. */
export function BenchFoot({
  bicycle,
  step,
  index,
  last,
  finished,
  empty,
  onBack,
  onForward,
  onPass,
}: {
  bicycle: Bicycle;
  step: BenchStep | undefined;
  index: number;
  last: boolean;
  /** Every step is done. */
  finished: boolean;
  /** What steps asked for and were not given. */
  empty: readonly string[];
  onBack(): void;
  onForward(): void;
  /** Goes on without what is waited for. */
  onPass(): void;
}) {
  const feet = useDeclared().flatMap(({ benchFoot }) => benchFoot ?? []);
  return (
    <Box component="footer" sx={{ position: 'sticky', bottom: 0, zIndex: 2 }}>
      <Box sx={{ px: { xs: 2, md: 6 }, pb: 1, bgcolor: 'sheet.paper' }}>
        <Suspense>
          {feet.map(({ View }, i) => (
            <View key={i} bicycle={bicycle} />
          ))}
        </Suspense>
        {finished && (
          <Box sx={{ fontWeight: 640 }}>
            Every step is done{empty.length > 0 ? `; left empty: ${empty.join(', ')}.` : '.'}
          </Box>
        )}
        {step?.waitsFor && !step.done && <Box role="status">{step.waitsFor}</Box>}
      </Box>
      <Box sx={{ display: 'grid', gridTemplateColumns: step?.mayLeave ? '1fr 1.4fr 3fr' : '1fr 3fr' }}>
        <Button
          onClick={onBack}
          disabled={index === 0}
          variant="outlined"
          color="inherit"
          sx={{
            minHeight: { xs: 76, md: 92 },
            borderRadius: 0,
            fontSize: '1.2rem',
            bgcolor: 'sheet.paper',
            '&:hover': { bgcolor: 'sheet.soft' },
          }}
        >
          Back
        </Button>
        {step?.mayLeave && (
          <Button
            onClick={onPass}
            variant="outlined"
            color="inherit"
            aria-keyshortcuts="U"
            sx={{
              minHeight: { xs: 76, md: 92 },
              borderRadius: 0,
              fontSize: { xs: '1rem', md: '1.2rem' },
              bgcolor: 'sheet.paper',
              '&:hover': { bgcolor: 'sheet.soft' },
            }}
          >
            {step.mayLeave}
          </Button>
        )}
        <Button
          onClick={onForward}
          disabled={!step}
          variant="contained"
          aria-keyshortcuts="Space"
          sx={{ minHeight: { xs: 76, md: 92 }, borderRadius: 0, fontSize: { xs: '1.4rem', md: '1.7rem' } }}
        >
          {forwardWords(step, last)}
        </Button>
      </Box>
    </Box>
  );
}
