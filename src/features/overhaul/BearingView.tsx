'use client';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { useState } from 'react';
import { openSteps, type BearingBench } from '@/core/bearings/benchTypes';
import type { Choice } from '@/core/strip/trays';
import { turnAt } from '@/core/strip/tray';
import { placeLabel } from '@/core/vocabulary/vocabulary';
import { partsAt, workedSteps } from '@/model/bearings/questions';
import { knownBearing } from '@/model/bearings/bearingFor';
import { WhatWasFound } from '../strip/WhatWasFound';
import type { StageProps } from '../workshop/WorkshopProvider';
import { useTellHand } from '../at-hand/hand';
import { useThreadNow } from '../workshop/thread';
import { ViewHeading } from '../workshop/ViewHeading';
import { useFindings } from '../workshop/useFindings';
import { BearingPart } from './BearingPart';
import { Card } from './Card';
import { partOf } from './parts';
import { Steps } from './Steps';
import { useSetting } from '../at-hand/useSetting';

/** What is still to come off is said before anything is cleaned or looked at: one tap goes on with it. */
function StillOn() {
  const { next, go } = useThreadNow();
  if (next?.id !== 'off' || next.state !== 'under way') return null;
  return (
    <Box sx={{ display: 'flex', gap: 1.5, alignItems: 'center', flexWrap: 'wrap', mb: 2 }}>
      <Button variant="outlined" sx={{ minHeight: 48 }} onClick={() => go(next)}>
        Go on taking it apart
      </Button>
      <Box>{next.words}</Box>
    </Box>
  );
}

/** One bearing, from the feel before to the feel after: drawn, looked at, counted, set, and when it is due again. */
export function BearingView({
  bicycle,
  send,
  bench,
  choices,
  onAll,
}: StageProps & { bench: BearingBench; choices: Choice[]; onAll(): void }) {
  const bearing = knownBearing(bicycle, bench.place, useFindings(bicycle));
  const setting = useSetting(bicycle, bearing, bench);
  const worked = workedSteps(bearing);
  const open = openSteps(bench.steps, worked);
  const [at, setAt] = useState<string | null>(open[0]?.id ?? null);
  // What is at hand stays at hand until it is said to be done, also where the first word on it counts as done; a step
  // whose forerunner was taken back waits again.
  const held = bench.steps.find(({ id }) => id === at && (worked.includes(id) || open.some((step) => step.id === id)));
  const now = held ?? open[0] ?? null;
  // Once every step is done, what is left to say is when it is due again.
  const atHand = now ? partOf(now, bench) : 'next';
  const turn = now?.turn ? turnAt({ turn: { ...now.turn, nuttedOnly: false } }, bicycle.kind, 'tighten') : null;
  useTellHand(now ? partsAt(now, bench) : [], turn);
  return (
    <>
      <Box
        sx={{ display: 'flex', gap: 2, flexWrap: 'wrap', alignItems: 'end', justifyContent: 'space-between', mb: 2 }}
      >
        <ViewHeading back="All bearings" onBack={onAll}>
          {placeLabel(bench.place)}
        </ViewHeading>
        {choices.length === 1 && <Box sx={{ color: 'text.secondary' }}>{bench.title}</Box>}
        <WhatWasFound send={send} place={bench.place} assembly={bench.assembly} choices={choices} />
      </Box>
      {bench.leaveWhy && (
        <Box
          sx={{
            borderLeft: '3px solid',
            borderColor: 'text.primary',
            pl: 2,
            mb: 2,
            fontSize: '1.1rem',
            maxWidth: '62ch',
          }}
        >
          <b>Leave it shut while it runs.</b> {bench.leaveWhy}
        </Box>
      )}
      {bench.caution && (
        <Typography sx={{ mb: 2, maxWidth: '62ch' }}>
          <b>Take care.</b> {bench.caution}
        </Typography>
      )}
      <StillOn />
      <Steps bicycle={bicycle} send={send} bearing={bearing} bench={bench} now={now} onNow={setAt} onBack={onAll}>
        {atHand && (
          <BearingPart
            atStep
            part={atHand}
            bicycle={bicycle}
            send={send}
            bearing={bearing}
            bench={bench}
            setting={setting}
          />
        )}
      </Steps>
      <Card atHand={atHand} bicycle={bicycle} send={send} bearing={bearing} bench={bench} setting={setting} />
    </>
  );
}
