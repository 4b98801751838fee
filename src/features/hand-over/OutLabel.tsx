'use client';
import Box from '@mui/material/Box';
import type { WayOut } from '@/model/prove/part';
import { dayOf } from '@/ui/format';
import { PrintAlone } from '@/ui/PrintAlone';

const WORDS: Record<WayOut['way'], string> = {
  ready: 'Proved and signed',
  'as-it-is': 'Not roadworthy, not to be ridden',
  parts: 'For its parts: not to be ridden',
};

/** The label that hangs on the bar of a bicycle that has gone out. */
export function OutLabel({
  name,
  workshop,
  out,
  onClose,
}: {
  name: string;
  workshop: string;
  out: WayOut;
  onClose(): void;
}) {
  return (
    <PrintAlone label={`Label of ${name}`} onClose={onClose}>
      <Box sx={{ border: '3px solid', p: 2.5, maxWidth: 460 }}>
        <Box sx={{ fontSize: '1.1rem' }}>{workshop}</Box>
        <Box sx={{ fontSize: '1.7rem', fontWeight: 680, lineHeight: 1.15, mt: 0.5 }}>{name}</Box>
        <Box sx={{ fontSize: '2rem', fontWeight: 700, lineHeight: 1.1, my: 1.5 }}>{WORDS[out.way]}</Box>
        <Box>
          {dayOf(out.at)}
          {out.to && ` · ${out.to}`}
          {out.by && ` · ${out.by}`}
        </Box>
        {out.way === 'parts' && out.words && <Box sx={{ mt: 1 }}>{out.words}.</Box>}
        {out.packed && (
          <Box sx={{ mt: 1 }}>Packed for carriage: put together and looked over before the first ride.</Box>
        )}
      </Box>
    </PrintAlone>
  );
}
