'use client';
import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import { useState } from 'react';
import type { BearingBench } from '@/core/bearings/benchTypes';
import { ReadingField } from '@/ui/ReadingField';
import { BigNumber } from '@/ui/Section';
import { Working } from '@/ui/Working';
import { useReckon } from '../workshop/useReckon';

/** Movement where the hand feels it, turned into play at the bearing and degrees of cone. */
export function PlayThere({ bench, pitchMm }: { bench: BearingBench; pitchMm: number }) {
  const [movementMm, setMovementMm] = useState<number | null>(null);
  const { output } = useReckon(
    'inspect.rimPlay',
    movementMm === null
      ? null
      : {
          where: bench.upright ? 'headset' : 'hub',
          movementMm,
          leverMm: bench.felt.reachMm,
          spanMm: bench.rowsApartMm,
          circleMm: bench.kind === 'cup-and-cone' ? bench.circleMm : 0,
          pitchMm,
        },
  );
  return (
    <Box sx={{ display: 'flex', gap: 4, flexWrap: 'wrap', alignItems: 'end', pt: 1 }}>
      <ReadingField
        label={`Movement at the ${bench.felt.at}`}
        kind="length"
        unit="mm"
        value={movementMm}
        width={240}
        onCommit={setMovementMm}
        onClear={() => setMovementMm(null)}
        refuse={(mm) => (mm > 50 ? 'fifty millimetres at most' : null)}
      />
      {output && (
        <>
          <BigNumber value={`${output.radialMm.toFixed(2)} mm`} label="at the bearing" />
          <BigNumber value={`${Math.round(output.turnDeg)}°`} label="to close it" />
          <Box sx={{ flexBasis: '100%' }}>
            {output.reasons.map((reason) => (
              <Typography key={reason}>{reason}</Typography>
            ))}
            <Working rows={output.working} />
          </Box>
        </>
      )}
    </Box>
  );
}
