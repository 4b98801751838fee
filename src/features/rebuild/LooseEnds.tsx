'use client';
import Box from '@mui/material/Box';
import { dayOf } from '@/ui/format';
import { RuledList } from '@/ui/RuledList';
import { Section } from '@/ui/Section';
import { LooseButton } from '../workshop/LooseButton';
import type { StageProps } from '../workshop/WorkshopProvider';

/** Everything that is together only loosely: it is asked about until it is tightened, and keeps the bicycle from going out. */
export function LooseEnds({ bicycle, send }: StageProps) {
  const open = bicycle.looseEnds.filter((row) => row.closedAt === null);
  if (open.length === 0) return null;
  return (
    <Section title="Loose for now" aside="not ready while one stands here">
      <RuledList>
        {open.map((row) => (
          <Box component="li" key={row.id} sx={{ display: 'flex', gap: 2, alignItems: 'center', py: 1 }}>
            <Box sx={{ flex: 1 }}>
              <b>{row.label}</b>{' '}
              <Box component="span" sx={{ color: 'text.secondary' }}>
                since {dayOf(row.at)}
              </Box>
            </Box>
            <LooseButton bicycle={bicycle} send={send} place={row.place} />
          </Box>
        ))}
      </RuledList>
    </Section>
  );
}
