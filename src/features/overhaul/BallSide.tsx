'use client';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { ballsDue, checkCounts, type MismatchAnswer } from '@/core/bearings/counts';
import type { SideCount } from '@/model/record';
import { stateColour } from '@/ui/StateMark';
import { BallCounter } from '../strip/BallCounter';

const ANSWERS: Record<MismatchAnswer, string> = {
  lost: 'One was lost',
  split: 'One was split',
  'came-short': 'It came short',
  'came-overfull': 'It came overfull',
};

/** Three numbers of one side: out, holds, in. What does not agree is asked about. */
export function BallSide({
  side,
  counts,
  onChange,
}: {
  side: 'left' | 'right';
  counts: SideCount;
  onChange(changes: Partial<SideCount>): void;
}) {
  const { question, answers, settled } = checkCounts(counts);
  const due = ballsDue(counts);
  return (
    <Box role="group" aria-label={`Balls, ${side} side`}>
      <Box sx={{ fontWeight: 640, mb: 1 }}>
        {side === 'left' ? 'Left' : 'Right'} side{' '}
        {due !== null && (
          <Box component="span" sx={{ color: 'text.secondary', fontWeight: 400 }}>
            {due} belong
          </Box>
        )}
      </Box>
      <Box sx={{ display: 'flex', gap: 1.5, flexWrap: 'wrap' }}>
        <BallCounter label={`out, ${side}`} count={counts.out} onCount={(out) => onChange({ out, answer: null })} />
        <BallCounter
          label={`holds, ${side}`}
          count={counts.holds}
          onCount={(holds) => onChange({ holds, answer: null })}
        />
        <BallCounter label={`in, ${side}`} count={counts.in} onCount={(put) => onChange({ in: put, answer: null })} />
      </Box>
      {question && (
        <Box
          role="status"
          sx={{ mt: 1.5, borderLeft: '3px solid', borderColor: stateColour(settled ? 'watch' : 'replace'), pl: 1.5 }}
        >
          <Box sx={{ fontWeight: 620 }}>
            {question} {settled ? '' : 'What happened?'}
          </Box>
          <Box sx={{ display: 'flex', gap: 1, mt: 1, flexWrap: 'wrap' }}>
            {answers.map((answer) => (
              <Button
                key={answer}
                variant={counts.answer === answer ? 'contained' : 'outlined'}
                aria-pressed={counts.answer === answer}
                onClick={() => onChange({ answer })}
              >
                {ANSWERS[answer]}
              </Button>
            ))}
          </Box>
        </Box>
      )}
    </Box>
  );
}
