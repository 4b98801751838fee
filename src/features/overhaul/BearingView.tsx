'use client';
import ArrowBack from '@mui/icons-material/ArrowBack';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import type { ReactNode } from 'react';
import type { BearingBench } from '@/core/bearings/benchTypes';
import type { IdentifiedBall } from '@/core/bearings/identifyBall';
import { placeLabel } from '@/core/vocabulary/vocabulary';
import { sectionInput } from '@/model/bearings';
import { trayFor } from '@/model/selectors';
import { Section } from '@/ui/Section';
import { WhatWasFound } from '../strip/WhatWasFound';
import { useReckon } from '../workshop/useReckon';
import type { StageProps } from '../workshop/WorkshopProvider';
import { Balls } from './Balls';
import { BearingNote, Changed, FromLookOver } from './BearingNote';
import { Cartridges } from './Cartridges';
import { ConeBench } from './ConeBench';
import { Look } from './Look';
import { NextService } from './NextService';
import { RoundFeel } from './RoundFeel';
import { SectionDrawing } from './SectionDrawing';
import { Steps } from './Steps';
import { useSetting } from './useSetting';

const SET_TITLES = {
  cone: 'Set the cone',
  'adjustable-cup': 'Set the adjustable cup',
  'top-cap': 'Set the top cap',
  'preload-cap': 'Set the preload cap',
} as const;
const NEXT_TRACK = { bright: 'dull', dull: 'pitted', pitted: 'bright' } as const;

function Anchor({ id, children }: { id: string; children: ReactNode }) {
  return (
    <Box id={`bearing-${id}`} sx={{ scrollMarginTop: 12, mt: 4 }}>
      {children}
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
}: StageProps & { bench: BearingBench; choices: { id: string; title: string }[]; onAll(): void }) {
  const tray = trayFor(bicycle, bench.place);
  const setting = useSetting(bicycle, tray, bench);
  const { output: ball } = useReckon<IdentifiedBall>(
    'bearings.identifyBall',
    tray.ballReadingsMm.length ? { readingsMm: tray.ballReadingsMm, instrument: tray.instrument } : null,
  );
  const { advice } = setting;
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
      <Steps bicycle={bicycle} send={send} tray={tray} bench={bench} />
      <Anchor id="before">
        <Section title="Before">
          <FromLookOver bicycle={bicycle} send={send} tray={tray} />
          <BearingNote send={send} tray={tray} when="before" />
        </Section>
      </Anchor>
      <Anchor id="look">
        <Section title={bench.kind === 'cup-and-cone' ? 'Look, once it is clean' : 'Look'}>
          <Look bicycle={bicycle} send={send} tray={tray} bench={bench} />
        </Section>
      </Anchor>
      {bench.rows.length > 0 && (
        <Anchor id="measure">
          <Section title="Balls">
            <Balls send={send} tray={tray} bench={bench} />
          </Section>
        </Anchor>
      )}
      {bench.cartridges.length > 0 && (
        <Anchor id="measure">
          <Section title="Cartridges">
            <Cartridges send={send} tray={tray} bench={bench} />
          </Section>
        </Anchor>
      )}
      {bench.setting && (
        <>
          <Anchor id="set">
            <Section title={SET_TITLES[bench.setting.adjusts]}>
              <ConeBench send={send} tray={tray} bench={bench} setting={setting} />
            </Section>
          </Anchor>
          <Anchor id="round">
            <Section title="Round the turn">
              <RoundFeel send={send} tray={tray} />
            </Section>
          </Anchor>
        </>
      )}
      <Anchor id="after">
        <Section title="After">
          <BearingNote send={send} tray={tray} when="after" />
          <Changed tray={tray} />
        </Section>
      </Anchor>
      <Anchor id="next">
        <Section title="When next">
          <NextService bicycle={bicycle} send={send} tray={tray} bench={bench} />
        </Section>
      </Anchor>
    </>
  );
}
