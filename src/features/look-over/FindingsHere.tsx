'use client';
import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import { StateMark } from '@/ui/StateMark';
import { heardWords } from './heardWords';
import type { PlaceProps } from '../workshop/declared';

/** What was found at a place. */
export function FindingsHere({ place, lookOver }: PlaceProps) {
  const here = (lookOver?.findings ?? []).filter((finding) => finding.place === place);
  if (here.length === 0)
    return (
      <Typography sx={{ color: 'text.secondary' }}>
        {lookOver ? 'No check of the look-over is made here.' : 'Calculating…'}
      </Typography>
    );
  return here.map((finding) => (
    <Box
      key={finding.check}
      sx={{ mb: 1, display: 'grid', gridTemplateColumns: 'auto minmax(0, 1fr)', columnGap: 1.5 }}
    >
      <StateMark state={finding.state} />
      <Box>
        {finding.state === 'not-looked-at' ? (finding.hints[0] ?? finding.reasons[0]) : finding.reasons[0]}
        {heardWords(finding.heard) && finding.state !== 'not-looked-at' && (
          <Box sx={{ fontSize: '0.9rem', color: 'text.secondary' }}>{heardWords(finding.heard)}.</Box>
        )}
      </Box>
    </Box>
  ));
}
