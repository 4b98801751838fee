'use client';
import Box from '@mui/material/Box';
import { lastWayOut } from '@/model/prove/proving';
import { LargeFigures } from '@/ui/LargeFigures';
import { ReadingField } from '@/ui/ReadingField';
import { Section } from '@/ui/Section';
import type { StageProps } from '../workshop/WorkshopProvider';

type Figure = 'weightKg' | 'partsReused' | 'learners' | 'learningHours';
const FIELDS: { figure: Figure; label: string; unit: string; most: number; whole: boolean }[] = [
  { figure: 'weightKg', label: 'It weighs', unit: 'kg', most: 200, whole: false },
  { figure: 'partsReused', label: 'Parts reused', unit: '', most: 1000, whole: true },
  { figure: 'learners', label: 'Who learnt at it', unit: 'people', most: 1000, whole: true },
  { figure: 'learningHours', label: 'and for', unit: 'h', most: 10_000, whole: false },
];

/** What was kept from the tip, beside money: kilograms, parts, people who learnt, and whether it is on the road again. */
export function Saved({ bicycle, send }: StageProps) {
  const { saved } = bicycle;
  const isOnTheRoad = lastWayOut(bicycle)?.way === 'ready';
  return (
    <Section title="What was saved">
      {saved.weightKg !== null && (
        <LargeFigures
          figures={[
            { value: `${saved.weightKg} kg`, words: isOnTheRoad ? 'on the road again' : 'not on the road yet' },
            ...(saved.partsReused === null ? [] : [{ value: String(saved.partsReused), words: 'parts reused' }]),
            ...(saved.learningHours === null ? [] : [{ value: `${saved.learningHours} h`, words: 'of learning' }]),
          ]}
        />
      )}
      <Box data-readings sx={{ display: 'flex', gap: 1.5, flexWrap: 'wrap' }}>
        {FIELDS.map(({ figure, label, unit, most, whole }) => (
          <ReadingField
            key={figure}
            label={label}
            kind="number"
            unit={unit}
            width={146}
            value={saved[figure]}
            refuse={(value) =>
              value > most
                ? `${most} at most`
                : whole && value % 1 !== 0
                  ? 'a whole number'
                  : figure === 'weightKg' && value <= 0
                    ? 'over nought'
                    : null
            }
            onCommit={(value) => send({ type: 'countSaved', changes: { [figure]: value } })}
            onClear={() => send({ type: 'countSaved', changes: { [figure]: null } })}
          />
        ))}
      </Box>
    </Section>
  );
}
