'use client';
import Box from '@mui/material/Box';
import type { ComponentType, ReactNode } from 'react';
import { COMPOUND_WORDS } from '@/core/rebuild/joints';
import type { JointHere } from '@/core/rebuild/jointsOf';
import type { Bicycle } from '@/model/record';
import { FIT_WORDS } from '@/model/rebuild/fitWords';
import { FIT_MEASURES } from '@/model/rebuild/part';

/** What went between, and where the rider was given to sit. Nothing is told that nobody said. */
export function WentBetween({
  bicycle,
  joints,
  Part,
}: {
  bicycle: Bicycle;
  joints: JointHere[];
  Part: ComponentType<{ title: string; children: ReactNode }>;
}) {
  const said = joints.filter(({ used }) => used !== null);
  const given = FIT_MEASURES.flatMap((measure) => {
    const mm = bicycle.fit[measure]?.givenMm ?? null;
    return mm === null ? [] : [`${FIT_WORDS[measure].label.toLowerCase()} ${mm} mm`];
  });
  if (said.length === 0 && given.length === 0) return null;
  return (
    <Part title="Put together with">
      {said.map(({ id, label, used, verdict, words }) => (
        <Box key={id}>
          {label}: <b>{COMPOUND_WORDS[used!].toLowerCase()}</b>
          {verdict === 'never' && `. ${words}`}
        </Box>
      ))}
      {given.length > 0 && <Box sx={{ mt: 0.5 }}>Given to the rider: {given.join(', ')}.</Box>}
    </Part>
  );
}
