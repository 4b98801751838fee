'use client';
import { localDay } from '@/model/localDay';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { beforeFromLookOver } from '@/model/bearings/questions';
import type { Bearing } from '@/model/bearings/part';
import { BeforeAfter } from '@/ui/BeforeAfter';
import { Choices } from '@/ui/Choices';
import { ReadingField } from '@/ui/ReadingField';
import { FEELS, PLAYS } from '../look-over/BearingFields';
import type { StageProps } from '../workshop/WorkshopProvider';
import { known } from './words';

/** How a bearing feels, before or after. */
export function BearingNote({
  send,
  bearing,
  when,
}: Pick<StageProps, 'send'> & { bearing: Bearing; when: 'before' | 'after' }) {
  const noted = bearing[when];
  const note = (changes: Partial<NonNullable<Bearing['before']>>) =>
    send({
      type: 'feelBearing',
      place: bearing.place,
      when,
      changes,
      ...(when === 'after' ? { on: localDay(new Date()) } : {}),
    });
  return (
    <Box sx={{ display: 'grid', gap: 1.5 }}>
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

/** What the look-over felt at this bearing, to be taken as what it was before; asked only while nothing stands there. */
export function FromLookOver({ bicycle, send, bearing }: StageProps & { bearing: Bearing }) {
  const felt = beforeFromLookOver(bicycle, bearing);
  if (!felt) return null;
  const words = [
    felt.feel !== 'unknown' && felt.feel.replace('-', ' '),
    felt.play !== 'unknown' && `play ${felt.play}`,
    felt.spinS !== null && `spins ${felt.spinS} s`,
  ].filter(Boolean);
  return (
    <Box sx={{ display: 'flex', gap: 2, alignItems: 'center', flexWrap: 'wrap', mb: 1.5 }}>
      <Box>At the look-over: {words.join(', ')}.</Box>
      <Button
        size="small"
        variant="outlined"
        onClick={() => send({ type: 'feelBearing', place: bearing.place, when: 'before', changes: felt })}
      >
        Take it as the before
      </Button>
    </Box>
  );
}
