'use client';
import Box from '@mui/material/Box';
import type { ReadingHere } from '@/core/prove/evidence';
import { clearReading, putReading, readPair } from '@/model/prove/readings';
import { newId } from '@/store/browser';
import { nowIso } from '@/store/now';
import { kindOfUnit } from '@/ui/kindOfUnit';
import { ReadingField } from '@/ui/ReadingField';
import { stateColour } from '@/ui/StateMark';
import { useHand } from '../workshop/useHand';
import type { StageProps } from '../workshop/WorkshopProvider';

/** The first letter large, for a label that stands alone. */
const large = (words: string) => words.charAt(0).toUpperCase() + words.slice(1);

/** What is read for a proof: one row for each thing, its limits beside it, what it was before beneath. */
export function ProofReadings({
  bicycle,
  send,
  readings,
  big,
}: StageProps & {
  readings: readonly ReadingHere[];
  /** For a thumb. */
  big?: boolean;
}) {
  const { name: by } = useHand();
  const groups = [...new Set(readings.map(({ group }) => group))];
  return (
    <Box data-readings sx={{ display: 'flex', flexWrap: 'wrap', columnGap: 3, rowGap: 1.5, mt: 1 }}>
      {groups.map((group) => (
        <Box key={group} role="group" aria-label={group}>
          <Box sx={{ fontSize: '0.92rem', fontWeight: 620, mb: 0.75 }}>{group}</Box>
          <Box sx={{ display: 'flex', gap: 1.25, flexWrap: 'wrap', alignItems: 'start' }}>
            {readings
              .filter((each) => each.group === group)
              .map((reading) => {
                const { before, after } = readPair(bicycle, reading);
                const clear = clearReading(bicycle, reading);
                return (
                  <ReadingField
                    key={reading.id}
                    label={large(reading.label)}
                    kind={kindOfUnit(reading.unit)}
                    unit={reading.unit}
                    width={big ? 220 : 186}
                    large={big ?? false}
                    value={after}
                    {...(before !== null && { help: `before: ${Math.round(before * 100) / 100} ${reading.unit}` })}
                    onCommit={(value) => send(putReading(bicycle, reading, value, { id: newId(), at: nowIso(), by }))}
                    {...(clear && { onClear: () => send(clear) })}
                    refuse={(value) =>
                      value < reading.canBeLeast || value > reading.canBeMost
                        ? `${reading.canBeLeast} to ${reading.canBeMost} ${reading.unit}`
                        : null
                    }
                  />
                );
              })}
          </Box>
        </Box>
      ))}
      {readings.flatMap(({ id, outside }) =>
        outside === null
          ? []
          : [
              <Box key={id} role="alert" sx={{ color: stateColour('unsafe'), fontWeight: 640, width: '100%' }}>
                {outside}.
              </Box>,
            ],
      )}
    </Box>
  );
}
