'use client';
import { localDay } from '@/model/localDay';
import Box from '@mui/material/Box';
import type { Bearing } from '@/model/bearings/part';
import { BeforeAfter } from '@/ui/BeforeAfter';
import { Choices } from '@/ui/Choices';
import { ReadingField } from '@/ui/ReadingField';
import { bearingFor } from '@/model/bearings/bearingFor';
import { useHand } from '../workshop/useHand';
import { FEELS, PLAYS } from '../look-over/BearingFields';
import type { StageProps } from '../workshop/WorkshopProvider';
import { known } from './words';

/** How a bearing feels, before or after. */
export function BearingNote({
  bicycle,
  send,
  bearing,
  when,
}: StageProps & { bearing: Bearing; when: 'before' | 'after' }) {
  const { name: by } = useHand();
  const noted = bearing[when];
  // What another stage felt stays beside what is felt now.
  const feltBefore = bearingFor(bicycle, bearing.place).before === null ? bearing.before : null;
  const elsewhere = when === 'before' ? feltBefore : null;
  const note = (changes: Partial<NonNullable<Bearing['before']>>) => {
    // What is felt now takes the place of what was felt elsewhere: that stays here as what it was before.
    if (when === 'after' && feltBefore)
      send({ type: 'feelBearing', place: bearing.place, when: 'before', changes: feltBefore });
    send({
      type: 'feelBearing',
      place: bearing.place,
      when,
      changes: { ...elsewhere, ...changes, ...(by && { by }) },
      ...(when === 'after' ? { on: localDay(new Date()) } : {}),
    });
  };
  return (
    <Box sx={{ display: 'grid', gap: 1.5 }}>
      {elsewhere && <Box sx={{ color: 'text.secondary' }}>As it was felt before it came to the bench.</Box>}
      <Choices
        label="Feel"
        options={FEELS}
        value={noted ? known(noted.feel) : null}
        onChoose={(feel) => note({ feel })}
      />
      <Box sx={{ display: 'flex', gap: 3, flexWrap: 'wrap', alignItems: 'end' }}>
        <Choices
          label="Play"
          options={PLAYS}
          value={noted ? known(noted.play) : null}
          onChoose={(play) => note({ play })}
        />
        <ReadingField
          label="Spins by hand for"
          kind="number"
          unit="s"
          width={160}
          value={noted?.spinS ?? null}
          onCommit={(spinS) => note({ spinS })}
          onClear={() => note({ spinS: null })}
          refuse={(s) => (s > 600 ? 'ten minutes at most' : null)}
        />
      </Box>
    </Box>
  );
}

/** What was, beside what is, once both are noted. */
export function Changed({ bearing }: { bearing: Bearing }) {
  const { before, after } = bearing;
  if (!before || !after) return null;
  const spin = (seconds: number | null) => (seconds === null ? '–' : `${seconds} s`);
  return (
    <BeforeAfter
      rows={[
        { label: 'Feel', before: before.feel, after: after.feel },
        { label: 'Play', before: before.play, after: after.play },
        { label: 'Spin', before: spin(before.spinS), after: spin(after.spinS) },
      ]}
    />
  );
}
