'use client';
import Box from '@mui/material/Box';
import { placeLabel } from '@/core/vocabulary/vocabulary';
import { wageOf } from '@/model/money/questions';
import { Section } from '@/ui/Section';
import { useSettings, type StageProps } from '../workshop/WorkshopProvider';
import { StuckPart } from './StuckPart';

/** Everything that will not move: what was tried, what next, what it may cost, when to stop. */
export function StuckParts({ bicycle, send, place }: StageProps & { place: string | null }) {
  const settings = useSettings();
  const rows = bicycle.seized.filter((row) => row.ended === null && (place === null || row.place === place));
  if (rows.length === 0) return null;
  return (
    <Section
      title="Will not move"
      aside={place === null ? rows.map((row) => placeLabel(row.place)).join(', ') : undefined}
    >
      <Box component="ul" sx={{ p: 0, m: 0, listStyle: 'none' }}>
        {rows.map((row) => (
          <StuckPart key={row.id} send={send} row={row} timers={bicycle.timers} rate={wageOf(bicycle, settings)} />
        ))}
      </Box>
    </Section>
  );
}
