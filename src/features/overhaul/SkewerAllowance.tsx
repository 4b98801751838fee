'use client';
import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import type { ClampAllowance } from '@/core/bearings/clampAllowance';
import type { BearingBench } from '@/core/bearings/benchTypes';
import { axleHint, boreHint, clampHint, coneSpanHint, pitchHint } from '@/core/bearings/plausible';
import type { Bearing } from '@/model/bearings/part';
import { ReadingField } from '@/ui/ReadingField';
import { BigNumber } from '@/ui/Section';
import { Working } from '@/ui/Working';
import type { StageProps } from '../workshop/WorkshopProvider';

/** How much the skewer at hand squeezes the axle, in mm and in degrees of cone. */
export function SkewerAllowance({
  send,
  bearing,
  axle,
  allowance,
}: Pick<StageProps, 'send'> & {
  bearing: Bearing;
  axle: NonNullable<BearingBench['axle']>;
  allowance: ClampAllowance | null;
}) {
  const measure = (changes: Partial<Bearing['axle']>) => send({ type: 'measureAxle', place: bearing.place, changes });
  const fields = [
    { key: 'majorMm', label: 'Axle over the thread', unit: 'mm', width: 150, refuse: axleHint },
    { key: 'pitchMm', label: 'Pitch', unit: 'mm', width: 120, refuse: pitchHint },
    { key: 'boreMm', label: 'Bore', unit: 'mm', width: 120, refuse: (mm: number) => boreHint(mm, axle) },
    { key: 'coneSpanMm', label: 'Cone to cone', unit: 'mm', width: 140, refuse: coneSpanHint },
    { key: 'clampForceN', label: 'Clamping force', unit: 'N', width: 150, refuse: clampHint },
  ] as const;
  return (
    <>
      <Box data-readings sx={{ display: 'flex', gap: 1.5, flexWrap: 'wrap' }}>
        {fields.map(({ key, label, unit, width, refuse }) => (
          <ReadingField
            key={key}
            label={label}
            kind={unit === 'N' ? 'number' : 'length'}
            unit={unit}
            value={axle[key]}
            width={width}
            onCommit={(value) => measure({ [key]: value })}
            refuse={refuse}
          />
        ))}
      </Box>
      {allowance && (
        <Box sx={{ display: 'flex', gap: 4, mt: 2, flexWrap: 'wrap', alignItems: 'end' }}>
          <BigNumber value={`${allowance.compressionMm.toFixed(3)} mm`} label="shorter when closed" />
          <BigNumber value={`${Math.round(allowance.coneTurnDeg)}°`} label="of cone" />
          <Typography sx={{ flex: 1, minWidth: 220 }}>{allowance.words}</Typography>
        </Box>
      )}
      {allowance && <Working rows={allowance.working} />}
    </>
  );
}
