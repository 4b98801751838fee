'use client';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { useState } from 'react';
import { own } from '@/core/own';
import { NIPPLES, type NippleState, type WheelEnd } from '@/model/wheels/part';
import { Choices } from '@/ui/Choices';
import type { StageProps } from '../workshop/WorkshopProvider';
import { NIPPLE_WORDS } from './words';

const MARK: Record<NippleState, string> = { loose: '~', stuck: '✕', rounded: '○', renewed: '+' };
const AS: { id: NippleState; label: string }[] = NIPPLES.map((id) => ({
  id,
  label: `${NIPPLE_WORDS[id].charAt(0).toUpperCase()}${NIPPLE_WORDS[id].slice(1)} ${MARK[id]}`,
}));

/** What nipples are besides turning as they should: first what, then a tap on each; a second tap takes it back. */
export function Nipples({ bicycle, send, end, spokes }: StageProps & { end: WheelEnd; spokes: number }) {
  const [as, setAs] = useState<NippleState>('loose');
  return (
    <Box>
      <Choices label="A tap says" options={AS} value={as} onChoose={(next) => setAs(next)} />
      <Box
        sx={{
          display: 'grid',
          gridTemplateColumns: 'repeat(auto-fill, minmax(52px, 1fr))',
          gap: 0.5,
          maxWidth: 620,
          mt: 1.5,
        }}
      >
        {Array.from({ length: spokes }, (_, i) => {
          const is = own(bicycle.nipples, `${end}/${i}`) ?? null;
          return (
            <Button
              key={i}
              variant={is ? 'contained' : 'outlined'}
              color={is === 'stuck' || is === 'rounded' ? 'error' : is ? 'primary' : 'inherit'}
              aria-pressed={is === as}
              aria-label={`Nipple ${i + 1}${is ? `, ${NIPPLE_WORDS[is]}` : ''}`}
              sx={{ minWidth: 0, minHeight: 48, px: 0.25, whiteSpace: 'nowrap' }}
              onClick={() => send({ type: 'markNipple', end, spoke: i, as: is === as ? null : as })}
            >
              {i + 1}
              {is && ` ${MARK[is]}`}
            </Button>
          );
        })}
      </Box>
    </Box>
  );
}
