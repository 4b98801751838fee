'use client';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { placeLabel } from '@/core/vocabulary/vocabulary';
import { newId } from '@/store/browser';
import { nowIso } from '@/store/now';
import { dayOf } from '@/ui/format';
import { RuledList } from '@/ui/RuledList';
import { Section } from '@/ui/Section';
import type { StageProps } from '../workshop/WorkshopProvider';

/** Puts a place on the list of what is loose for now, or takes it off again. */
export function LooseButton({ bicycle, send, place }: StageProps & { place: string }) {
  const open = bicycle.looseEnds.find((row) => row.place === place && row.closedAt === null);
  if (open)
    return (
      <Button
        variant="contained"
        onClick={() => send({ type: 'putLooseEnd', looseEnd: { ...open, closedAt: nowIso() } })}
      >
        Tightened now
      </Button>
    );
  return (
    <Button
      variant="outlined"
      color="inherit"
      onClick={() =>
        send({
          type: 'putLooseEnd',
          looseEnd: { id: newId(), place, label: placeLabel(place), at: nowIso(), closedAt: null },
        })
      }
    >
      Loose for now
    </Button>
  );
}

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
