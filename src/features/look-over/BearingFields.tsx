'use client';
import Box from '@mui/material/Box';
import { rimPlayQuestion } from '@/core/inspect/questions';
import { Choices } from '@/ui/Choices';
import { ReadingField } from '@/ui/ReadingField';
import { JudgedField } from '../workshop/JudgedField';
import type { EvidenceProps } from './evidence';

export const FEELS = [
  { id: 'smooth', label: 'Smooth' },
  { id: 'light-rumble', label: 'Light rumble' },
  { id: 'gritty', label: 'Gritty' },
  { id: 'notchy', label: 'Notchy' },
  { id: 'tight', label: 'Tight' },
  { id: 'seized', label: 'Seized' },
] as const;

export const PLAYS = [
  { id: 'none', label: 'No play' },
  { id: 'slight', label: 'Slight' },
  { id: 'clear', label: 'Clear' },
] as const;

/** A bearing as it is felt, without opening it; where a rim tells more, by how far it rocks. */
export function BearingFields({ check, kind, seen, note }: EvidenceProps) {
  return (
    <Box sx={{ display: 'grid', gap: 2 }}>
      <Choices
        label="Feel"
        options={FEELS}
        value={seen.feel && seen.feel !== 'unknown' ? seen.feel : null}
        onChoose={(feel) => note({ feel })}
      />
      <Choices
        label="Play"
        options={PLAYS}
        value={seen.play && seen.play !== 'unknown' ? seen.play : null}
        onChoose={(play) => note({ play })}
      />
      {(check.place.startsWith('hub') || check.place === 'headset') && (
        <Box sx={{ display: 'flex', gap: 2, flexWrap: 'wrap' }}>
          <JudgedField
            calculator="inspect.rimPlay"
            question={(movementMm) => rimPlayQuestion(check.place, movementMm, kind)}
            label={check.place === 'headset' ? 'Rock at the front axle' : 'Rock at the rim'}
            kind="number"
            unit="mm"
            value={seen.rimMm ?? null}
            onCommit={(rimMm) => note({ rimMm })}
            onClear={() => note({ rimMm: undefined })}
            refuse={(mm) => (mm < 0 || mm > 50 ? 'from stop to stop, 0 to 50 mm' : null)}
            width={190}
            step={0.1}
          />
          {check.place.startsWith('hub') && (
            <ReadingField
              label="It spins for"
              kind="number"
              unit="s"
              value={seen.spinS ?? null}
              onCommit={(spinS) => note({ spinS })}
              onClear={() => note({ spinS: undefined })}
              refuse={(s) => (s < 0 || s > 600 ? '0 to 600 seconds' : null)}
              help="Kept to compare with"
              width={170}
            />
          )}
        </Box>
      )}
    </Box>
  );
}
