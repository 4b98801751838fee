'use client';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { own } from '@/core/own';
import type { WheelEnd } from '@/model/wheels/part';
import type { StageProps } from '../workshop/WorkshopProvider';

const NEXT = { turns: 'loose', loose: 'stuck', stuck: null } as const;
const WORDS = { loose: 'turned by finger', stuck: 'stuck' } as const;

/** Nipples that turn by finger or do not turn at all: a tap goes from one to the next. */
export function Nipples({ bicycle, send, end, spokes }: StageProps & { end: WheelEnd; spokes: number }) {
  return (
    <Box>
      <Box sx={{ mb: 1 }}>A tap: turned by finger. Two: stuck. Three: as it should be.</Box>
      <Box
        sx={{ display: 'grid', gridTemplateColumns: 'repeat(auto-fill, minmax(52px, 1fr))', gap: 0.5, maxWidth: 620 }}
      >
        {Array.from({ length: spokes }, (_, i) => {
          const as = own(bicycle.nipples, `${end}/${i}`) ?? null;
          return (
            <Button
              key={i}
              variant={as ? 'contained' : 'outlined'}
              color={as === 'stuck' ? 'error' : as ? 'primary' : 'inherit'}
              aria-label={`Nipple ${i + 1}${as ? `, ${WORDS[as]}` : ''}`}
              sx={{ minWidth: 0, minHeight: 48 }}
              onClick={() => send({ type: 'markNipple', end, spoke: i, as: NEXT[as ?? 'turns'] })}
            >
              {i + 1}
              {as === 'stuck' && ' ✕'}
            </Button>
          );
        })}
      </Box>
    </Box>
  );
}
