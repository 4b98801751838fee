'use client';
import Box from '@mui/material/Box';
import { stateOf } from '@/core/vocabulary/verdicts';
import { brakeNumber, cantileverOf, handToPad, type BrakePlace } from '@/model/brakes/questions';
import type { BrakeMeasure } from '@/model/brakes/part';
import { Disclosure } from '@/ui/Disclosure';
import { ReadingField } from '@/ui/ReadingField';
import { StateMark } from '@/ui/StateMark';
import { Working } from '@/ui/Working';
import { useReckon } from '../workshop/useReckon';
import type { StageProps } from '../workshop/WorkshopProvider';

const FIELDS: { measure: BrakeMeasure; label: string; unit: string; help: string; most: number }[] = [
  { measure: 'lever-ratio', label: 'Lever ratio', unit: '×', help: 'cable force over hand force', most: 12 },
  { measure: 'lever-pull', label: 'Lever pulls', unit: 'mm', help: 'cable, before the bar', most: 60 },
  { measure: 'bends', label: 'Bends of the outer', unit: '°', help: 'all of them added up', most: 1440 },
  { measure: 'pad-travel', label: 'Pad to rim', unit: 'mm', help: 'each pad, at rest', most: 20 },
];
const ARMS = {
  measure: 'arm-ratio' as const,
  label: 'Arm ratio',
  unit: '×',
  help: 'both pads over the cable',
  most: 12,
};

/** From hand to pad in one working: what bends leave, what lever and arms make of it, whether the lever pulls enough. */
export function HandToPad({
  bicycle,
  send,
  place,
  isCantilever,
}: StageProps & { place: BrakePlace; isCantilever: boolean }) {
  const { output: arms } = useReckon('brakes.cantilever', isCantilever ? cantileverOf(bicycle, place) : null);
  const reckoned = arms ? 2 * arms.padForcePerCableN : null;
  const { output } = useReckon('brakes.chain', handToPad(bicycle, place, reckoned));
  return (
    <Disclosure summary={<>From hand to pad: does the lever go with the brake?</>} wide>
      <Box
        data-readings
        sx={{
          display: 'grid',
          gap: 1.5,
          py: 1.5,
          gridTemplateColumns: { xs: '1fr 1fr', sm: 'repeat(3, minmax(0, 1fr))' },
          alignItems: 'start',
        }}
      >
        {[...FIELDS, ...(reckoned === null ? [ARMS] : [])].map(({ measure, label, unit, help, most }) => (
          <ReadingField
            key={measure}
            label={label}
            kind="number"
            unit={unit}
            help={help}
            width="100%"
            value={brakeNumber(bicycle, place, measure)}
            onCommit={(value) => send({ type: 'measureBrake', place, changes: { [measure]: value } })}
            onClear={() => send({ type: 'measureBrake', place, changes: { [measure]: null } })}
            refuse={(value) => (value > most ? `at most ${most}` : null)}
          />
        ))}
      </Box>
      {reckoned !== null && <Box sx={{ color: 'text.secondary' }}>Arms as reckoned above: {reckoned.toFixed(2)}.</Box>}
      {output && (
        <Box role="status" aria-label="From hand to pad">
          <Box sx={{ display: 'flex', gap: 4, flexWrap: 'wrap', my: 1 }}>
            <Box>
              <Box sx={{ fontSize: '1.6rem', fontWeight: 660, fontVariantNumeric: 'tabular-nums' }}>
                {Math.round(output.padN)} N
              </Box>
              <Box sx={{ color: 'text.secondary', fontSize: '0.92rem' }}>on the rim at a firm squeeze</Box>
            </Box>
            <Box>
              <Box sx={{ fontSize: '1.6rem', fontWeight: 660, fontVariantNumeric: 'tabular-nums' }}>
                {Math.round(output.efficiency * 100)} %
              </Box>
              <Box sx={{ color: 'text.secondary', fontSize: '0.92rem' }}>left by the bends</Box>
            </Box>
            <Box>
              <Box sx={{ fontSize: '1.6rem', fontWeight: 660, fontVariantNumeric: 'tabular-nums' }}>
                {output.slowsMs2.dry.toFixed(1)} m/s²
              </Box>
              <Box sx={{ color: 'text.secondary', fontSize: '0.92rem' }}>
                roughly, dry, alone; wet {output.slowsMs2.wet.toFixed(1)}
              </Box>
            </Box>
          </Box>
          {output.reasons.map((reason, i) => (
            <Box key={reason} sx={i === 0 ? { fontWeight: 640 } : {}}>
              {i === 0 && <StateMark state={stateOf('brakes.chain', output.verdict)} word={false} size={18} />} {reason}
            </Box>
          ))}
          <Working rows={output.working} />
        </Box>
      )}
    </Disclosure>
  );
}
