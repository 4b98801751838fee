'use client';
import ExpandMore from '@mui/icons-material/ExpandMore';
import Accordion from '@mui/material/Accordion';
import AccordionDetails from '@mui/material/AccordionDetails';
import AccordionSummary from '@mui/material/AccordionSummary';
import Box from '@mui/material/Box';
import { useState } from 'react';
import type { BearingBench } from '@/core/bearings/benchTypes';
import type { Tray } from '@/model/record';
import type { StageProps } from '../workshop/WorkshopProvider';
import { BearingPart } from './BearingPart';
import { partsOf, partTitle, partWords, type Part } from './parts';
import type { Setting } from './useSetting';

/** All that is kept of a bearing besides what is at hand: a line each, opened to read or to change. */
export function Card({
  atHand,
  bicycle,
  send,
  tray,
  bench,
  setting,
}: StageProps & { atHand: Part | null; tray: Tray; bench: BearingBench; setting: Setting }) {
  const [open, setOpen] = useState<readonly Part[]>([]);
  return (
    <Box sx={{ mt: 3, borderTop: '1.5px solid', borderColor: 'text.primary' }}>
      {partsOf(bench)
        .filter((part) => part !== atHand)
        .map((part) => {
          const words = partWords(part, tray, bench);
          return (
            <Accordion
              key={part}
              disableGutters
              square
              elevation={0}
              expanded={open.includes(part)}
              onChange={(_, opens) => setOpen(opens ? [...open, part] : open.filter((each) => each !== part))}
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
                expandIcon={<ExpandMore />}
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
                <BearingPart part={part} bicycle={bicycle} send={send} tray={tray} bench={bench} setting={setting} />
              </AccordionDetails>
            </Accordion>
          );
        })}
    </Box>
  );
}
