'use client';
import Box from '@mui/material/Box';
import { stateOf } from '@/core/vocabulary/verdicts';
import { chainLengthInput } from '@/model/drive/questions';
import { Section } from '@/ui/Section';
import { StateMark } from '@/ui/StateMark';
import { Working } from '@/ui/Working';
import { useReckon } from '../workshop/useReckon';
import type { StageProps } from '../workshop/WorkshopProvider';
import { DriveField } from './DriveField';

/** How long the chain has to be, from stay, ring and cog. */
export function ChainLength({ bicycle, send }: StageProps) {
  const { output, errors } = useReckon('drive.chainLength', chainLengthInput(bicycle));
  const isSingle = bicycle.kind.gears !== 'derailleur';
  return (
    <Section title="How long it has to be" aside={output?.pitches ? `${output.pitches} pitches` : null}>
      <Box data-readings sx={{ display: 'flex', gap: 1.5, flexWrap: 'wrap', mt: 1.5 }}>
        <DriveField
          bicycle={bicycle}
          send={send}
          figure="stay"
          label="Bracket to wheel axle"
          unit="mm"
          least={250}
          most={800}
        />
        {isSingle && (
          <DriveField
            bicycle={bicycle}
            send={send}
            figure="slot"
            label="Axle moves back"
            unit="mm"
            least={0}
            most={80}
          />
        )}
      </Box>
      {errors.map((error) => (
        <Box key={error.path} role="alert" sx={{ color: 'error.main' }}>
          {error.message}
        </Box>
      ))}
      {output && (
        <Box role="status" aria-label="How long it has to be" sx={{ mt: 1 }}>
          {output.pitches !== null && (
            <Box sx={{ fontSize: '1.6rem', fontWeight: 660, fontVariantNumeric: 'tabular-nums' }}>
              {output.pitches} pitches
            </Box>
          )}
          <Box sx={{ fontWeight: 620 }}>
            <StateMark state={stateOf('drive.chainLength', output.verdict)} word={false} size={18} /> {output.words}
          </Box>
          <Working rows={output.working} />
        </Box>
      )}
    </Section>
  );
}
