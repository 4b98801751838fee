'use client';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import type { Spacer } from '@/model/rebuild/part';
import { spacersOn } from '@/model/rebuild/steerer';
import { newId } from '@/store/browser';
import { nowIso } from '@/store/now';
import { ReadingField } from '@/ui/ReadingField';
import type { StageProps } from '../workshop/WorkshopProvider';

/** The heights that lie in every drawer. */
const USUAL_MM = [2, 5, 10, 15, 20];

const SIDES = [
  { side: 'above', label: 'Above the stem', other: 'below', move: 'down' },
  { side: 'below', label: 'Below the stem', other: 'above', move: 'up' },
] as const;

/** Spacers one by one: put on from the drawer, moved to the other side of the stem, taken off. */
export function Spacers({ bicycle, send }: StageProps) {
  const add = (side: Spacer['side'], heightMm: number) =>
    send({ type: 'putSpacer', spacer: { id: newId(), heightMm, side, at: nowIso() } });
  return (
    <Box sx={{ display: 'grid', gap: 1.5, gridTemplateColumns: { xs: '1fr', sm: '1fr 1fr' } }}>
      {SIDES.map(({ side, label, other, move }) => (
        <Box key={side} role="group" aria-label={label}>
          <Box sx={{ fontWeight: 640 }}>
            {label}
            <Box component="span" sx={{ fontWeight: 400, color: 'text.secondary' }}>
              {' '}
              {spacersOn(bicycle, side).length === 0 && 'no spacer'}
            </Box>
          </Box>
          {spacersOn(bicycle, side).map((spacer) => (
            <Box key={spacer.id} sx={{ display: 'flex', alignItems: 'center', gap: 1 }}>
              <Box sx={{ minWidth: 64, fontWeight: 620, fontVariantNumeric: 'tabular-nums' }}>{spacer.heightMm} mm</Box>
              <Button
                size="small"
                color="inherit"
                aria-label={`Move the spacer of ${spacer.heightMm} mm ${other} the stem`}
                onClick={() => send({ type: 'putSpacer', spacer: { ...spacer, side: other } })}
              >
                Move {move}
              </Button>
              <Button
                size="small"
                color="inherit"
                aria-label={`Take the spacer of ${spacer.heightMm} mm off`}
                onClick={() => send({ type: 'takeSpacer', spacer: spacer.id })}
              >
                Off
              </Button>
            </Box>
          ))}
          <Box sx={{ display: 'flex', columnGap: 0.5, rowGap: 1.5, flexWrap: 'wrap', alignItems: 'center', mt: 0.5 }}>
            {USUAL_MM.map((mm) => (
              <Button
                key={mm}
                size="small"
                variant="outlined"
                color="inherit"
                aria-label={`Put a spacer of ${mm} mm ${side} the stem`}
                sx={{ minWidth: 52 }}
                onClick={() => add(side, mm)}
              >
                +{mm}
              </Button>
            ))}
            <ReadingField
              label="Another"
              kind="number"
              unit="mm"
              width={110}
              value={null}
              keepEmpty
              onCommit={(mm) => add(side, mm)}
              refuse={(mm) => (mm <= 0 || mm > 60 ? 'no spacer has that' : null)}
            />
          </Box>
        </Box>
      ))}
    </Box>
  );
}
