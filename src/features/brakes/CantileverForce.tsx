'use client';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { useState } from 'react';
import type { Cantilever } from '@/core/brakes/cantilever';
import { stateOf } from '@/core/vocabulary/verdicts';
import { brakeNumber, cantileverOf, type BrakePlace } from '@/model/brakes/questions';
import type { BrakeMeasure } from '@/model/brakes/part';
import { Disclosure } from '@/ui/Disclosure';
import { ReadingField } from '@/ui/ReadingField';
import { StateMark } from '@/ui/StateMark';
import { Working } from '@/ui/Working';
import { useReckon } from '../workshop/useReckon';
import type { StageProps } from '../workshop/WorkshopProvider';
import { CantileverView } from './CantileverView';
import { LargeFigures } from '@/ui/LargeFigures';

const FIELDS: { measure: BrakeMeasure; label: string }[] = [
  { measure: 'pivot-half', label: 'Middle to pivot' },
  { measure: 'anchor-out', label: 'Wire held, out' },
  { measure: 'anchor-up', label: 'Wire held, up' },
  { measure: 'pad-in', label: 'Pad, in' },
  { measure: 'pad-up', label: 'Pad, up' },
  { measure: 'yoke', label: 'Yoke over pivots' },
];

/** A usual one to begin from: shown to play with, and not put down as measured. */
const USUAL: Cantilever = {
  pivotHalfSpacingMm: 40,
  anchor: { outMm: 30, upMm: 20 },
  pad: { inMm: 10, upMm: 25 },
  yokeHeightMm: 85,
};

const measures = (of: Cantilever): Partial<Record<BrakeMeasure, number>> => ({
  'pivot-half': of.pivotHalfSpacingMm,
  'anchor-out': of.anchor.outMm,
  'anchor-up': of.anchor.upMm,
  'pad-in': of.pad.inMm,
  'pad-up': of.pad.upMm,
  yoke: of.yokeHeightMm,
});

/** Force and travel of a cantilever, live while yoke and anchor are moved; what it stood at is put down. */
export function CantileverForce({ bicycle, send, place }: StageProps & { place: BrakePlace }) {
  const measured = cantileverOf(bicycle, place);
  const [tried, setTried] = useState<Cantilever | null>(null);
  const of = tried ?? measured;
  const { output, errors } = useReckon('brakes.cantilever', of);
  return (
    <Disclosure summary={<>Yoke and arms: force and travel</>} wide>
      <Box
        data-readings
        sx={{
          display: 'grid',
          gap: 1.5,
          py: 1.5,
          gridTemplateColumns: { xs: '1fr 1fr', sm: 'repeat(3, minmax(0, 1fr))' },
        }}
      >
        {FIELDS.map(({ measure, label }) => (
          <ReadingField
            key={measure}
            label={label}
            kind="length"
            unit="mm"
            width="100%"
            value={brakeNumber(bicycle, place, measure)}
            onCommit={(mm) => {
              setTried(null);
              send({ type: 'measureBrake', place, changes: { [measure]: mm } });
            }}
            onClear={() => send({ type: 'measureBrake', place, changes: { [measure]: null } })}
            refuse={(mm) => (mm > 300 ? 'no brake has that' : null)}
          />
        ))}
      </Box>
      {errors.map((error) => (
        <Box key={error.path} role="alert" sx={{ color: 'error.main' }}>
          {error.message}
        </Box>
      ))}
      {of ? (
        <CantileverView of={of} onMove={setTried} />
      ) : (
        <Button variant="outlined" color="inherit" onClick={() => setTried(USUAL)}>
          Show a usual one to try with
        </Button>
      )}
      {output && (
        <Box role="status" aria-label="Force and travel">
          <LargeFigures
            figures={[
              { value: `${output.padForcePerCableN.toFixed(2)} N`, words: 'at each pad for a newton of cable' },
              { value: `${output.cableMmPerPadMm.toFixed(2)} mm`, words: 'of cable for a millimetre of each pad' },
            ]}
          />
          <Box sx={{ fontWeight: 640 }}>
            <StateMark state={stateOf('brakes.cantilever', output.verdict)} word={false} size={18} />{' '}
            {output.reasons[0]}
          </Box>
          {tried && (
            <Box sx={{ display: 'flex', gap: 1, mt: 1 }}>
              <Button
                variant="outlined"
                onClick={() => {
                  send({ type: 'measureBrake', place, changes: measures(tried) });
                  setTried(null);
                }}
              >
                It stands so
              </Button>
              <Button color="inherit" onClick={() => setTried(null)}>
                {measured ? 'Back to what was measured' : 'Put it away'}
              </Button>
            </Box>
          )}
          <Working rows={output.working} />
        </Box>
      )}
    </Disclosure>
  );
}
