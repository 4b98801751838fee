'use client';
import ArrowBack from '@mui/icons-material/ArrowBack';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { useState } from 'react';
import { openSteps, type BearingBench } from '@/core/bearings/benchTypes';
import type { IdentifiedBall } from '@/core/bearings/identifyBall';
import { placeLabel } from '@/core/vocabulary/vocabulary';
import { sectionInput, workedSteps } from '@/model/bearings';
import { trayFor } from '@/model/selectors';
import { WhatWasFound } from '../strip/WhatWasFound';
import { useReckon } from '../workshop/useReckon';
import type { StageProps } from '../workshop/WorkshopProvider';
import { BearingPart } from './BearingPart';
import { Card } from './Card';
import { partOf } from './parts';
import { SectionDrawing } from './SectionDrawing';
import { Steps } from './Steps';
import { useSetting } from './useSetting';

const NEXT_TRACK = { bright: 'dull', dull: 'pitted', pitted: 'bright' } as const;

/** One bearing, from the feel before to the feel after: drawn, looked at, counted, set, and when it is due again. */
export function BearingView({
  bicycle,
  send,
  bench,
  choices,
  onAll,
}: StageProps & { bench: BearingBench; choices: { id: string; title: string }[]; onAll(): void }) {
  const tray = trayFor(bicycle, bench.place);
  const setting = useSetting(bicycle, tray, bench);
  const { output: ball } = useReckon<IdentifiedBall>(
    'bearings.identifyBall',
    tray.ballReadingsMm.length ? { readingsMm: tray.ballReadingsMm, instrument: tray.instrument } : null,
  );
  const { advice } = setting;
  // What is at hand stays at hand until it is said to be done, also where the first word on it counts as done.
  const [at, setAt] = useState<string | null>(() => openSteps(bench.steps, workedSteps(tray))[0]?.id ?? null);
  const now = bench.steps.find((step) => step.id === at) ?? null;
  // Once every step is done, what is left to say is when it is due again.
  const atHand = now ? partOf(now, bench) : 'next';
  const felt = tray.trials.length > 0 && advice !== null;
  const way =
    felt && advice.next && advice.next.turnDeg !== 0
      ? {
          words: `${advice.next.turnDeg > 0 ? 'To close' : 'To open'}: ${advice.next.travelMm.toFixed(3)} mm of thread`,
          outwards: advice.next.turnDeg < 0,
        }
      : null;
  const playMm = felt ? (advice.playMm ?? 0) : 0;
  const play = playMm > 0.002 ? `Play along the axle: about ${playMm.toFixed(2)} mm` : '';
  return (
    <>
      <Button color="inherit" startIcon={<ArrowBack />} onClick={onAll} sx={{ ml: -1, mb: 1, minHeight: 48 }}>
        All bearings
      </Button>
      <Box
        sx={{ display: 'flex', gap: 2, flexWrap: 'wrap', alignItems: 'end', justifyContent: 'space-between', mb: 2 }}
      >
        <Typography variant="h2" sx={{ fontSize: '1.6rem' }}>
          {placeLabel(bench.place)}
        </Typography>
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
      <SectionDrawing
        input={sectionInput(tray, bench, ball?.nominal?.diameterMm ?? null, playMm)}
        tracks={tray.tracks}
        names={bench.tracks}
        title={`${bench.title}, cut along its axle`}
        play={play}
        way={way}
        onTrack={
          bench.rows.length > 0
            ? (track) =>
                send({
                  type: 'seeTrack',
                  place: bench.place,
                  track,
                  state: tray.tracks[track] ? NEXT_TRACK[tray.tracks[track]] : 'bright',
                })
            : undefined
        }
      />
      {bench.caution && (
        <Typography sx={{ mb: 2, maxWidth: '62ch' }}>
          <b>Take care.</b> {bench.caution}
        </Typography>
      )}
      <Steps bicycle={bicycle} send={send} tray={tray} bench={bench} now={now} onNow={setAt}>
        {atHand && (
          <BearingPart part={atHand} bicycle={bicycle} send={send} tray={tray} bench={bench} setting={setting} />
        )}
      </Steps>
      <Card atHand={atHand} bicycle={bicycle} send={send} tray={tray} bench={bench} setting={setting} />
    </>
  );
}
