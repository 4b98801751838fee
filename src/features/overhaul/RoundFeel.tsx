'use client';
import Box from '@mui/material/Box';
import { ROUND_POINTS, roundPointWords, roundVerdict } from '@/core/bearings/round';
import type { Bearing } from '@/model/bearings/part';
import { Choices } from '@/ui/Choices';
import { StateMark } from '@/ui/StateMark';
import type { StageProps } from '../workshop/WorkshopProvider';

const FEELS = [
  { id: 'loose', label: 'Loose' },
  { id: 'tick', label: 'Tick' },
  { id: 'smooth', label: 'Smooth' },
  { id: 'tight', label: 'Tight' },
] as const;
/** Felt again at points of the turn: the tightest spot decides. */
export function RoundFeel({ send, bearing }: Pick<StageProps, 'send'> & { bearing: Bearing }) {
  const { state, words } = roundVerdict(bearing.round);
  return (
    <>
      <Box sx={{ display: 'grid', gridTemplateColumns: { xs: '1fr', sm: '1fr 1fr' }, gap: 2 }}>
        {ROUND_POINTS.map((point) => (
          <Choices
            key={point}
            label={roundPointWords(bearing.place, point)}
            options={FEELS}
            value={bearing.round[point] ?? null}
            onChoose={(feel) => send({ type: 'feelRound', place: bearing.place, point, feel })}
          />
        ))}
      </Box>
      <Box role="status" sx={{ mt: 1.5, fontSize: '1.1rem', maxWidth: '62ch' }}>
        <StateMark state={state} word={false} /> {words}
      </Box>
    </>
  );
}
