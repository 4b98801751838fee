'use client';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import type { CountCheck, MismatchAnswer } from '@/core/bearings/counts';
import { stateColour } from '@/ui/StateMark';

const ANSWERS: Record<MismatchAnswer, string> = {
  lost: 'One was lost',
  split: 'One was split',
  'came-short': 'It came short',
  'came-overfull': 'It came overfull',
  'cage-to-loose': 'Retainer out, loose balls in',
};

/** What does not agree between out, holds and in is asked about; one tap answers. */
export function CountQuestion({
  check: { question, answers, settled },
  answer: given,
  onAnswer,
}: {
  check: CountCheck;
  answer: MismatchAnswer | null;
  onAnswer(answer: MismatchAnswer): void;
}) {
  if (!question) return null;
  return (
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
            variant={given === answer ? 'contained' : 'outlined'}
            aria-pressed={given === answer}
            sx={{ minHeight: 56 }}
            onClick={() => onAnswer(answer)}
          >
            {ANSWERS[answer]}
          </Button>
        ))}
      </Box>
    </Box>
  );
}
