'use client';
import Box from '@mui/material/Box';
import { Fragment } from 'react';
import { FIT_WORDS } from '@/model/rebuild/fitWords';
import { FIT_MEASURES } from '@/model/rebuild/part';
import { Choices } from '@/ui/Choices';
import { ReadingField } from '@/ui/ReadingField';
import { Section } from '@/ui/Section';
import type { StageProps } from '../workshop/WorkshopProvider';
import { FromTheRider } from './FromTheRider';

const SETTLED = [
  { id: 'yes', label: 'Settled' },
  { id: 'no', label: 'Still open' },
] as const;

/** Where the rider sits: measured before the strip and given back, or reckoned from the rider. Nothing is cut before the bar is settled. */
export function Rider({ bicycle, send }: StageProps) {
  const far = (value: number) => (value < -300 || value > 1500 ? 'no rider sits there' : null);
  return (
    <Section title="Where the rider sits" aside="measured before the strip, and given back">
      <Box
        data-readings
        sx={{
          display: 'grid',
          gridTemplateColumns: { xs: '1fr 1fr', sm: 'minmax(0, 1fr) 150px 150px' },
          gap: 1.5,
          alignItems: 'center',
        }}
      >
        {FIT_MEASURES.map((measure) => {
          const { label, how } = FIT_WORDS[measure];
          const { beforeMm, givenMm } = bicycle.fit[measure] ?? { beforeMm: null, givenMm: null };
          const put = (changes: { beforeMm?: number | null; givenMm?: number | null }) =>
            send({ type: 'measureFit', measure, changes });
          const away = beforeMm !== null && givenMm !== null ? givenMm - beforeMm : 0;
          return (
            <Fragment key={measure}>
              <Box sx={{ gridColumn: { xs: '1 / -1', sm: 'auto' } }}>
                <Box sx={{ fontWeight: 640 }}>{label}</Box>
                <Box sx={{ fontSize: '0.9rem', color: 'text.secondary' }}>
                  {how}
                  {away !== 0 && `; ${Math.abs(away)} mm ${away > 0 ? 'more' : 'less'} than before`}
                </Box>
              </Box>
              <Box role="group" aria-label={label} sx={{ display: 'contents' }}>
                <ReadingField
                  label="Before"
                  kind="number"
                  unit="mm"
                  value={beforeMm}
                  width={150}
                  onCommit={(value) => put({ beforeMm: value })}
                  onClear={() => put({ beforeMm: null })}
                  refuse={far}
                />
                <ReadingField
                  label="Given"
                  kind="number"
                  unit="mm"
                  value={givenMm}
                  width={150}
                  onCommit={(value) => put({ givenMm: value })}
                  onClear={() => put({ givenMm: null })}
                  refuse={far}
                />
              </Box>
            </Fragment>
          );
        })}
      </Box>
      <FromTheRider bicycle={bicycle} send={send} />
      <Box sx={{ mt: 2 }}>
        <Choices
          label="The height of the bar"
          options={SETTLED}
          value={bicycle.barSettled === null ? null : bicycle.barSettled ? 'yes' : 'no'}
          onChoose={(id) => send({ type: 'settleBar', settled: id === 'yes' })}
        />
      </Box>
    </Section>
  );
}
