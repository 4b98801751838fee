'use client';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { useState } from 'react';
import { ReadingField } from '@/ui/ReadingField';
import { RuledList } from '@/ui/RuledList';
import { Section } from '@/ui/Section';
import { useSettings, useWorkshop } from '../workshop/WorkshopProvider';
import { SETTING_SECTIONS } from './settingWays';

/** The table that came with the workshop's tension meter: what it reads, and what that is for a plain round spoke of two millimetres. */
export function TensionMeter() {
  const { tensionMeter } = useSettings();
  const workshop = useWorkshop();
  const [reading, setReading] = useState<number | null>(null);
  const rows = tensionMeter.toSorted((a, b) => a.reading - b.reading);
  return (
    <Section id="meter" title={SETTING_SECTIONS.meter.title}>
      <Typography sx={{ maxWidth: '62ch', mb: 1 }}>
        The table that came with it, for the spokes that you meet most. With two rows or more a wheel is read in what
        the meter shows; without, in newtons.
      </Typography>
      {rows.length > 0 && (
        <RuledList aria-label="Table of the tension meter">
          {rows.map((row) => (
            <Box
              component="li"
              key={row.reading}
              sx={{ py: 0.5, display: 'flex', gap: 3, alignItems: 'center', fontVariantNumeric: 'tabular-nums' }}
            >
              <Box sx={{ width: 90 }}>reads {row.reading}</Box>
              <Box sx={{ width: 90, fontWeight: 640 }}>{row.tensionN} N</Box>
              <Button
                color="inherit"
                aria-label={`Take the row ${row.reading} out`}
                onClick={() =>
                  void workshop.changeSettings((kept) => ({
                    tensionMeter: kept.tensionMeter.filter((each) => each.reading !== row.reading),
                  }))
                }
              >
                Take it out
              </Button>
            </Box>
          ))}
        </RuledList>
      )}
      <Box data-readings sx={{ display: 'flex', gap: 1.5, flexWrap: 'wrap', alignItems: 'start', mt: 1 }}>
        <ReadingField
          label="It reads"
          kind="number"
          width={130}
          value={reading}
          onCommit={setReading}
          refuse={(value) => (value > 200 ? '0 to 200' : null)}
        />
        <ReadingField
          label="That is"
          kind="number"
          unit="N"
          width={150}
          keepEmpty
          value={null}
          error={null}
          help={reading === null ? 'first what it reads' : 'Enter puts the row down'}
          refuse={(value) => (reading === null ? 'first what it reads' : value > 4000 ? '0 to 4000 N' : null)}
          onCommit={(tensionN) => {
            if (reading === null) return;
            void workshop.changeSettings((kept) => ({
              tensionMeter: [
                ...kept.tensionMeter.filter((each) => each.reading !== reading),
                { reading, tensionN },
              ].slice(-60),
            }));
            setReading(null);
          }}
        />
      </Box>
    </Section>
  );
}
