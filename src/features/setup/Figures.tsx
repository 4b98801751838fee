'use client';
import Box from '@mui/material/Box';
import { own } from '@/core/own';
import type { SetStep } from '@/core/setup/steps';
import { kindOfUnit } from '@/ui/kindOfUnit';
import { ReadingField } from '@/ui/ReadingField';
import type { StageProps } from '../workshop/WorkshopProvider';

/** What is written down at a step, because nobody remembers it in a year. */
export function Figures({
  bicycle,
  send,
  place,
  figures,
}: StageProps & { place: string; figures: SetStep['figures'] }) {
  return (
    <Box data-readings sx={{ display: 'flex', gap: 1.5, flexWrap: 'wrap', mt: 1, alignItems: 'start' }}>
      {figures.map(({ id, label, unit, most }) => (
        <ReadingField
          key={id}
          label={label}
          kind={kindOfUnit(unit)}
          unit={unit}
          width={210}
          value={own(bicycle.setFigures, `${place}/${id}`) ?? null}
          onCommit={(value) => send({ type: 'keepFigure', place, figure: id, value })}
          onClear={() => send({ type: 'keepFigure', place, figure: id, value: null })}
          refuse={(value) => (value < 0 || value > most ? `0 to ${most} ${unit}` : null)}
        />
      ))}
    </Box>
  );
}
