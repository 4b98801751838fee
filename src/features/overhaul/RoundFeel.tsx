'use client';
import Box from '@mui/material/Box';
import { ROUND_POINTS, roundPointWords, roundVerdict } from '@/core/bearings/round';
import type { Tray } from '@/model/strip/part';
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
export function RoundFeel({ send, tray }: Pick<StageProps, 'send'> & { tray: Tray }) {
  const { state, words } = roundVerdict(tray.round);
  return (
    <>
      <Box sx={{ display: 'grid', gridTemplateColumns: { xs: '1fr', sm: '1fr 1fr' }, gap: 2 }}>
        {ROUND_POINTS.map((point) => (
          <Choices
            key={point}
            label={roundPointWords(tray.place, point)}
            options={FEELS}
            value={tray.round[point] ?? null}
            onChoose={(feel) => send({ type: 'feelRound', place: tray.place, point, feel })}
          />
        ))}
      </Box>
      <Box role="status" sx={{ mt: 1.5, fontSize: '1.1rem', maxWidth: '62ch' }}>
        <StateMark state={state} word={false} /> {words}
      </Box>
    </>
  );
}
