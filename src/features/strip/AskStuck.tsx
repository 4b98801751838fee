'use client';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import type { Seized } from '@/model/strip/part';
import { usualJoint, type StuckJoint } from '@/core/strip/usualJoint';
import { newId } from '@/store/browser';

/** What is round a stuck part; for titanium the nearest that the ladder knows. */
const USUAL_FRAME = {
  steel: 'painted steel sound',
  aluminium: 'bare aluminium',
  carbon: 'carbon',
  titanium: 'stainless steel',
} as const;

/** A stuck part of a place, as it usually is there; every field can be corrected. */
export function newSeized(
  place: string,
  part: { words: string; material: string | undefined },
  frameMaterial: keyof typeof USUAL_FRAME,
  joints: StuckJoint[],
): Seized {
  const usual = usualJoint(joints, part.words);
  return {
    id: newId(),
    place,
    part: part.words.slice(0, 120),
    partMaterial: usual?.partMaterial ?? part.material ?? 'plain steel',
    aroundMaterial: usual?.aroundMaterial ?? USUAL_FRAME[frameMaterial],
    paintMatters: true,
    partValue: 1000,
    aroundValue: 10000,
    tried: [],
    ended: null,
  };
}

/** Asks before a part is put down as stuck: a slip of the finger writes nothing. */
export function AskStuck({ part, onYes, onNo }: { part: Seized; onYes(): void; onNo(): void }) {
  return (
    <Box
      role="group"
      aria-label="It will not move"
      sx={{ borderLeft: '3px solid', borderColor: 'text.primary', pl: 2, py: 0.5, mb: 2 }}
    >
      <Box sx={{ fontWeight: 640 }}>Note as stuck: {part.part.toLowerCase()}?</Box>
      <Box sx={{ color: 'text.secondary', fontSize: '0.92rem' }}>
        {part.partMaterial} in {part.aroundMaterial}, as it usually is: both can be put right on its ladder.
      </Box>
      <Box sx={{ display: 'flex', gap: 1, mt: 1 }}>
        <Button variant="contained" autoFocus onClick={onYes} sx={{ minHeight: 48 }}>
          Yes, it is stuck
        </Button>
        <Button color="inherit" onClick={onNo} sx={{ minHeight: 48 }}>
          Not now
        </Button>
      </Box>
    </Box>
  );
}
