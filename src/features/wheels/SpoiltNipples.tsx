'use client';
import Box from '@mui/material/Box';
import type { WheelEnd } from '@/model/wheels/part';
import { spoiltInput, spoiltJobs } from '@/model/wheels/spoilt';
import { Alternatives } from '../decide/Alternatives';
import { useReckon } from '../workshop/useReckon';
import { useSettings, type StageProps } from '../workshop/WorkshopProvider';

/** Nipples that round off: from the third on, or the first where the house renews all, what all of them come to stands beside going on. */
export function SpoiltNipples({ bicycle, send, end }: StageProps & { end: WheelEnd }) {
  const settings = useSettings();
  const question = spoiltInput(bicycle, end, settings);
  const { output } = useReckon('wheels.spoilt', question && question.spoilt > 0 ? question : null);
  if (!output) return null;
  return (
    <Box role="region" aria-label="Spoilt nipples" sx={{ my: 2 }}>
      {output.verdict === 'go-on' ? (
        <Box>{output.reasons[0]}</Box>
      ) : (
        <Box component="ul" sx={{ listStyle: 'none', p: 0, m: 0, borderTop: '2px solid', borderColor: 'text.primary' }}>
          <Alternatives bicycle={bicycle} send={send} ways={spoiltJobs(output, end)} wage={settings.labourPerHour} />
        </Box>
      )}
    </Box>
  );
}
