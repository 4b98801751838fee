'use client';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { useEffect, useRef, useState } from 'react';
import { quarters } from '@/core/drive/turnWords';
import { sideOf } from '@/core/wheels/spokes';
import type { NippleState, WheelBuild, WheelRound } from '@/model/wheels/part';
import { Choices } from '@/ui/Choices';
import { Foot } from '../workshop/StageAction';
import type { StageProps } from '../workshop/WorkshopProvider';
import { KeyArrow } from './KeyArrow';
import { keyWords, turnWords, type SeenFrom } from './words';

const FROM: { id: SeenFrom; label: string }[] = [
  { id: 'tyre', label: 'The tyre' },
  { id: 'hub', label: 'The hub' },
];
const WRONG: { as: NippleState; label: string }[] = [
  { as: 'stuck', label: 'It does not turn' },
  { as: 'rounded', label: 'It rounds off' },
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
  const back = last && (
    <Button
      color="inherit"
      sx={{ minHeight: 48, px: 1 }}
      onClick={() => send({ type: 'turnNipple', round: round.id, spoke: last.spoke, made: false })}
    >
      Back one
    </Button>
  );
  if (!next)
    return (
      <Box role="status" aria-label="The round" sx={{ mb: 2 }}>
        <Box sx={{ fontSize: '1.5rem', fontWeight: 660 }}>
          {round.turns.length === 1 ? 'It is turned' : `All ${round.turns.length} are turned`}
        </Box>
        <Box>
          Squeeze the pairs hard all round, so that the spokes let their twist go. Then spin it and read it again.
        </Box>
        {back}
      </Box>
    );
  const side = sideOf(build, next.spoke);
  return (
    <Box>
      <Box role="status" aria-label="The round">
        <Box sx={{ color: 'text.secondary' }}>
          {done + 1} of {round.turns.length}
        </Box>
        <Box sx={{ fontSize: '2rem', fontWeight: 680, lineHeight: 1.15 }}>
          {turnWords(next.spoke, side, next.turns)}
        </Box>
        <Box sx={{ fontSize: '1.15rem', mt: 0.5 }}>
          {next.turns > 0 === (side === 'left') ? 'Towards the left pad. ' : 'Towards the right pad. '}
          {keyWords(next.turns, from)}
        </Box>
      </Box>
      <Box sx={{ display: 'flex', gap: 2, flexWrap: 'wrap', alignItems: 'center', my: 1.5 }}>
        <KeyArrow turns={next.turns} side={side} from={from} />
        <Choices label="You look from" options={FROM} value={from} onChoose={(each) => setFrom(each)} />
      </Box>
      <Box sx={{ display: 'flex', gap: 1, flexWrap: 'wrap' }}>
        {WRONG.map(({ as, label }) => (
          <Button
            key={as}
            color="inherit"
            sx={{ minHeight: 48, px: 1 }}
            onClick={() => send({ type: 'leaveNipple', round: round.id, end: round.end, spoke: next.spoke, as })}
          >
            {label}
          </Button>
        ))}
        {back}
      </Box>
      <Foot flush>
        <Button
          ref={key}
          variant="contained"
          fullWidth
          sx={{ minHeight: 64, fontSize: '1.25rem', borderRadius: { xs: 0, md: '3px' } }}
          onClick={() => send({ type: 'turnNipple', round: round.id, spoke: next.spoke, made: true })}
        >
          Turned {quarters(next.turns)}
        </Button>
      </Foot>
    </Box>
  );
}
