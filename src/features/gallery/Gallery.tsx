'use client';
import Alert from '@mui/material/Alert';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import dynamic from 'next/dynamic';
import { useState } from 'react';
import { bicycleKind, FRAMES } from '@/core/bicycle';
import { detailOf } from '@/core/drawing/details';
import { SIGNS } from '@/core/drawing/signs';
import { BicycleDrawing } from '@/ui/drawing/BicycleDrawing';
import { DetailDrawing } from '../at-hand/DetailDrawing';
import { DrawingLegend } from '@/ui/drawing/DrawingLegend';
import { RuledList } from '@/ui/RuledList';
import { Section } from '@/ui/Section';
import { StateMark } from '@/ui/StateMark';
import { TopBar } from '../top-bar/TopBar';
import { Row } from './Row';

const Fields = dynamic(() => import('./Fields').then((module) => module.Fields), { ssr: false });

const DETAILS = ['derailleur.rear', 'brake.front'];
const OfTheTrade = dynamic(() => import('./OfTheTrade').then((module) => module.OfTheTrade), { ssr: false });
const AtHand = dynamic(() => import('./AtHand').then((module) => module.AtHand), { ssr: false });

const KIND = bicycleKind.parse({ mudguards: true, rack: true, lights: true });
const OF_FRAME = {
  diamond: { gears: 'derailleur', brakes: 'cantilever' },
  mixte: { bars: 'swept', beadSeatMm: 590, mudguards: true },
  'step-through': {
    bars: 'swept',
    gears: 'hub',
    brakes: 'drum',
    beadSeatMm: 590,
    tyreWidthMm: 37,
    mudguards: true,
    basket: true,
  },
  'small-wheel': { bars: 'flat', gears: 'hub', brakes: 'direct-pull', beadSeatMm: 406, tyreWidthMm: 40 },
  'long-tail': { bars: 'flat', stem: 'threadless', brakes: 'disc', beadSeatMm: 559, tyreWidthMm: 50, rack: true },
  'full-suspension': { bars: 'flat', stem: 'threadless', brakes: 'disc', beadSeatMm: 584, tyreWidthMm: 58 },
} as const;

/** Every shared piece in every state, for eyes and tests. */
export function Gallery() {
  const [place, setPlace] = useState<string | null>('hub.front');
  return (
    <>
      <TopBar>
        <Box component="h1" sx={{ m: 0, fontSize: '1.1rem', fontWeight: 640 }}>
          Pieces
        </Box>
      </TopBar>
      <Box component="main" sx={{ px: { xs: 2, md: 5 }, py: 3, maxWidth: 1280, mx: 'auto' }}>
        <Section title="Signs">
          <Row>
            {SIGNS.map((id) => (
              <StateMark key={id} state={id} />
            ))}
          </Row>
        </Section>
        <Section title="The drawing, of each kind of frame">
          <Box sx={{ display: 'grid', gridTemplateColumns: { xs: '1fr', md: 'repeat(3, 1fr)' }, gap: 3 }}>
            {FRAMES.map((frame) => (
              <Box key={frame}>
                <BicycleDrawing
                  kind={bicycleKind.parse({ frame, ...OF_FRAME[frame] })}
                  label={frame.replace('-', ' ')}
                />
                <Box sx={{ color: 'text.secondary', fontSize: '0.9rem' }}>{frame.replace('-', ' ')}</Box>
              </Box>
            ))}
          </Box>
        </Section>
        <Section title="The drawing with its places" aside="one sign of each kind">
          <Box sx={{ maxWidth: 760 }}>
            <BicycleDrawing
              kind={KIND}
              label="Every sign on one bicycle"
              current={place}
              onOpen={setPlace}
              signs={SIGNS.map((sign, i) => ({
                sign,
                place: [
                  'tyre.front',
                  'rim.front',
                  'hub.front',
                  'headset',
                  'saddle',
                  'frame',
                  'hub.rear',
                  'chain',
                  'bottom-bracket',
                  'seat-post',
                  'tyre.rear',
                  'rack',
                  'pedal.right',
                  'pedal.right',
                ][i]!,
              }))}
            />
            <DrawingLegend label="Signs" signs={SIGNS.map((sign) => ({ sign, place: 'frame' }))} />
          </Box>
          <Box sx={{ width: 180, mt: 2 }}>
            <BicycleDrawing kind={KIND} label="Small" quiet signs={[{ place: 'chain', sign: 'replace' }]} />
          </Box>
        </Section>
        <AtHand />
        <Section title="Details">
          <Box sx={{ display: 'grid', gridTemplateColumns: { xs: '1fr', md: 'repeat(3, 1fr)' }, gap: 4 }}>
            {DETAILS.map((id) => {
              const detail = detailOf(id, { ...KIND, brakes: 'cantilever' })!;
              return (
                <DetailDrawing
                  key={id}
                  detail={detail}
                  mostPx={240}
                  isAtHand={(part) => part === 'anchor'}
                  stateOf={(part) =>
                    part === 'plate' || part === 'pads.left'
                      ? { id: part, words: part, where: 'tray', slot: 1, mark: null, fate: null, clean: false }
                      : undefined
                  }
                />
              );
            })}
          </Box>
        </Section>
        <OfTheTrade />
        <Fields />
        <Section title="Lists and words">
          <RuledList>
            <Box component="li" sx={{ py: 1 }}>
              One row
            </Box>
            <Box component="li" sx={{ py: 1 }}>
              Another row
            </Box>
          </RuledList>
          <Row>
            <Button variant="contained">First choice</Button>
            <Button variant="outlined">Another</Button>
            <Button color="inherit">Quiet</Button>
            <Button variant="outlined" disabled>
              Not now
            </Button>
          </Row>
          <Alert severity="error">The browser would not write the last change. It is kept in this tab.</Alert>
          <Alert severity="info">A newer Ergasto is ready.</Alert>
        </Section>
      </Box>
    </>
  );
}
