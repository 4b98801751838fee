'use client';
import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import dynamic from 'next/dynamic';
import { Choices } from '@/ui/Choices';
import { Section } from '@/ui/Section';
import { useAppraisal } from '../workshop/useAppraisal';
import { goToStage } from '../workshop/stageLink';
import type { StageProps } from '../workshop/WorkshopProvider';
import { Purchase, PurposeSection } from './Purchase';
import { BUY_PARTS } from './parts';
import { useBuyPart } from './useBuyPart';

const Lead = dynamic(() => import('./Lead').then((module) => module.Lead), { ssr: false });
const Door = dynamic(() => import('./Door').then((module) => module.Door), { ssr: false });
const Figures = dynamic(() => import('./Figures').then((module) => module.Figures), { ssr: false });
const AgeAndFit = dynamic(() => import('./AgeAndFit').then((module) => module.AgeAndFit), { ssr: false });

/** Buying, in the order in which it happens: the lead, the door, the figures, and whom it fits. */
export function Buy({ bicycle, send }: StageProps) {
  const [part, go] = useBuyPart();
  const reckoning = useAppraisal(bicycle);
  const customer = bicycle.purpose === 'customer';
  const parts = customer ? BUY_PARTS.filter((each) => each.id === 'age') : BUY_PARTS;
  const shown = customer ? 'age' : part;
  return (
    <>
      {parts.length > 1 && (
        <Box sx={{ mb: 3 }}>
          <Choices label="Part of the buying" hideLabel options={parts} value={shown} onChoose={go} />
        </Box>
      )}
      {customer && (
        <Section title="A customer’s bicycle">
          <Typography sx={{ maxWidth: '60ch' }}>
            No price is paid for it. Look it over, then{' '}
            <Box
              component="button"
              onClick={() => goToStage(bicycle.id, 'decide')}
              sx={{
                all: 'unset',
                cursor: 'pointer',
                color: 'primary.main',
                textDecoration: 'underline',
                '&:focus-visible': { outline: '3px solid' },
              }}
            >
              decide
            </Box>
            : the estimate is made there, and the owner’s word is put down line by line.
          </Typography>
        </Section>
      )}
      {shown === 'lead' && <Lead bicycle={bicycle} send={send} found={reckoning.output} />}
      {shown === 'door' && <Door bicycle={bicycle} send={send} found={reckoning.output} stale={reckoning.pending} />}
      {shown === 'figures' && <Figures bicycle={bicycle} send={send} reckoning={reckoning} />}
      {shown === 'age' && <AgeAndFit bicycle={bicycle} send={send} />}
      {shown !== 'door' && <PurposeSection bicycle={bicycle} send={send} />}
      {shown !== 'lead' && <Purchase bicycle={bicycle} send={send} />}
    </>
  );
}
