'use client';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { useEffect, useRef, useState } from 'react';
import { quarters } from '@/core/drive/turnWords';
import { sideOf } from '@/core/wheels/spokes';
import type { WheelBuild, WheelRound } from '@/model/wheels/part';
import { Choices } from '@/ui/Choices';
import type { StageProps } from '../workshop/WorkshopProvider';
import { keyWords, turnWords, type SeenFrom } from './words';

const FROM: { id: SeenFrom; label: string }[] = [
  { id: 'tyre', label: 'The tyre' },
  { id: 'hub', label: 'The hub' },
];

/** A round nipple by nipple, in walking order from the valve; the space bar goes on. */
export function RoundView({ send, build, round }: Pick<StageProps, 'send'> & { build: WheelBuild; round: WheelRound }) {
  const [from, setFrom] = useState<SeenFrom>('tyre');
  const key = useRef<HTMLButtonElement>(null);
  const next = round.turns.find(({ made }) => !made) ?? null;
  const last = round.turns.findLast(({ made }) => made) ?? null;
  const spoke = next?.spoke ?? null;
  useEffect(() => {
    if (spoke !== null) key.current?.focus({ preventScroll: true });
  }, [spoke]);
  const done = round.turns.filter(({ made }) => made).length;
  if (!next)
    return (
      <Box role="status" aria-label="The round">
        <Box sx={{ fontSize: '1.5rem', fontWeight: 660 }}>All {round.turns.length} are turned</Box>
        <Box>
          Squeeze the pairs hard all round, so that the spokes let their twist go. Then spin it and read it again.
        </Box>
        {last && (
          <Button
            color="inherit"
            sx={{ mt: 1 }}
            onClick={() => send({ type: 'turnNipple', round: round.id, spoke: last.spoke, made: false })}
          >
            Back one
          </Button>
        )}
      </Box>
    );
  return (
    <Box>
      <Box role="status" aria-label="The round">
        <Box sx={{ color: 'text.secondary' }}>
          {done + 1} of {round.turns.length}
        </Box>
        <Box sx={{ fontSize: '2rem', fontWeight: 680, lineHeight: 1.15 }}>
          {turnWords(next.spoke, sideOf(build, next.spoke), next.turns)}
        </Box>
        <Box sx={{ fontSize: '1.15rem', mt: 0.5 }}>
          {next.turns > 0 === (sideOf(build, next.spoke) === 'left')
            ? 'Towards the left pad. '
            : 'Towards the right pad. '}
          {keyWords(next.turns, from)}
        </Box>
      </Box>
      <Box sx={{ display: 'flex', gap: 1, flexWrap: 'wrap', my: 1.5 }}>
        <Button
          ref={key}
          variant="contained"
          sx={{ minHeight: 72, minWidth: 240, fontSize: '1.25rem' }}
          onClick={() => send({ type: 'turnNipple', round: round.id, spoke: next.spoke, made: true })}
        >
          Turned {quarters(next.turns)}
        </Button>
        {last && (
          <Button
            color="inherit"
            sx={{ minHeight: 72 }}
            onClick={() => send({ type: 'turnNipple', round: round.id, spoke: last.spoke, made: false })}
          >
            Back one
          </Button>
        )}
      </Box>
      <Choices label="You look from" options={FROM} value={from} onChoose={(next) => setFrom(next)} />
    </Box>
  );
}
