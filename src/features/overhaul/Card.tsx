'use client';
import Accordion from '@mui/material/Accordion';
import AccordionDetails from '@mui/material/AccordionDetails';
import AccordionSummary from '@mui/material/AccordionSummary';
import Box from '@mui/material/Box';
import { ChevronDown } from '@/ui/icons';
import { useSearchParams } from 'next/navigation';
import { useState } from 'react';
import type { BearingBench } from '@/core/bearings/benchTypes';
import type { Bearing } from '@/model/bearings/part';
import { goToLine } from '@/ui/goToLine';
import { useTapped } from '../at-hand/hand';
import type { Tapped } from '../at-hand/pen';
import { SHOWN } from '../workshop/usePlaceAt';
import type { StageProps } from '../workshop/WorkshopProvider';
import { BearingPart } from './BearingPart';
import { PARTS, partsOf, partTitle, partWords, type Asked, type Part } from './parts';
import type { Setting } from '../at-hand/useSetting';

/** The parts that are open, as the address says too, so that they are open again after a reload. */
function useOpenParts(): [readonly Part[], (part: Part) => void] {
  const params = useSearchParams();
  const [open, setOpen] = useState<readonly Part[]>(() => {
    const asked = params.get(SHOWN)?.split('.') ?? [];
    return PARTS.filter((part) => asked.includes(part));
  });
  const toggle = (part: Part) => {
    const next = open.includes(part) ? open.filter((each) => each !== part) : [...open, part];
    const address = new URLSearchParams(window.location.search);
    if (next.length > 0) address.set(SHOWN, next.join('.'));
    else address.delete(SHOWN);
    window.history.replaceState(null, '', `?${address.toString()}`);
    setOpen(next);
  };
  return [open, toggle];
}

/** The part of the card that a line of the drawing belongs to: a track was seen, balls were counted. */
function partTapped({ part, track }: Tapped): Part | null {
  if (track !== null) return 'look';
  return part?.startsWith('balls.') || part?.startsWith('bearing.') ? 'measure' : null;
}

/** All that is kept of a bearing besides what is at hand: a line each, opened to read or to change. */
export function Card({
  atHand,
  bicycle,
  send,
  bearing,
  bench,
  setting,
}: StageProps & { atHand: Asked | null; bearing: Bearing; bench: BearingBench; setting: Setting }) {
  const [open, toggle] = useOpenParts();
  useTapped((tapped) => {
    const part = partTapped(tapped);
    if (part === null || !partsOf(bench).includes(part)) return;
    if (part !== atHand && !open.includes(part)) toggle(part);
    goToLine(`part-${part}`);
  });
  return (
    <Box sx={{ mt: 3, borderTop: '1.5px solid', borderColor: 'text.primary' }}>
      {partsOf(bench)
        .filter((part) => part !== atHand)
        .map((part) => {
          const words = partWords(part, bearing, bench);
          return (
            <Accordion
              key={part}
              disableGutters
              square
              elevation={0}
              expanded={open.includes(part)}
              onChange={() => toggle(part)}
              slotProps={{ heading: { component: 'h2' }, transition: { unmountOnExit: true } }}
              sx={{
                bgcolor: 'transparent',
                backgroundImage: 'none',
                borderBottom: '1px solid',
                borderColor: 'divider',
                '&::before': { display: 'none' },
              }}
            >
              <AccordionSummary
                id={`part-${part}`}
                aria-controls={`part-${part}-inside`}
                expandIcon={<ChevronDown />}
                sx={{
                  minHeight: 56,
                  px: 0,
                  font: 'inherit',
                  '& .MuiAccordionSummary-content': { display: 'flex', gap: 2, alignItems: 'baseline', minWidth: 0 },
                }}
              >
                <Box component="span" sx={{ fontSize: '1.1rem', fontWeight: 640, flex: 'none' }}>
                  {partTitle(part, bench)}
                </Box>
                <Box
                  component="span"
                  sx={{
                    color: 'text.secondary',
                    fontSize: '0.95rem',
                    overflow: 'hidden',
                    textOverflow: 'ellipsis',
                    whiteSpace: 'nowrap',
                  }}
                >
                  {words || '–'}
                </Box>
              </AccordionSummary>
              <AccordionDetails sx={{ px: 0, pb: 3 }}>
                <BearingPart
                  part={part}
                  bicycle={bicycle}
                  send={send}
                  bearing={bearing}
                  bench={bench}
                  setting={setting}
                />
              </AccordionDetails>
            </Accordion>
          );
        })}
    </Box>
  );
}
