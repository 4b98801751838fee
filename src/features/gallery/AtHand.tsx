'use client';
import Box from '@mui/material/Box';
import { newTray } from '@/model/strip/fresh';
import { newBicycle } from '@/model/fresh';
import type { Tray } from '@/model/strip/part';
import { Section } from '@/ui/Section';
import { PartAtHand } from '../at-hand/PartAtHand';

const AT = '2026-01-01T09:00:00.000Z';

function hubWith(changes: Partial<Tray>) {
  return { ...newBicycle('gallery', AT, 'Gallery'), trays: [{ ...newTray('hub.front'), ...changes }] };
}
const off = { skewer: 1, 'locknut.left': 2, 'washer.left': 3, 'cone.left': 4, 'dust-cap.left': 5, 'balls.left': 6 };
const STATES = [
  { title: 'Together', form: 'section', hand: ['cone.left'], bicycle: hubWith({}) },
  { title: 'Half apart', form: 'exploded', hand: ['axle'], bicycle: hubWith({ off, marks: { 'cone.left': 'worn' } }) },
  {
    title: 'Going back',
    form: 'exploded',
    hand: ['washer.left'],
    bicycle: hubWith({ off, backIn: ['balls.left', 'dust-cap.left', 'cone.left'], fates: { skewer: 'scrap' } }),
  },
] as const;

/** One hub in three states of its record. */
export function AtHand() {
  return (
    <Section title="The part at hand">
      <Box
        sx={{ display: 'grid', gridTemplateColumns: { xs: 'minmax(0, 1fr)', md: 'repeat(2, minmax(0, 1fr))' }, gap: 5 }}
      >
        {STATES.map(({ title, form, hand, bicycle }) => (
          <Box key={title}>
            <Box sx={{ mb: 1 }}>{title}</Box>
            <PartAtHand bicycle={bicycle} place="hub.front" form={form} hand={{ parts: hand, turn: null }} />
          </Box>
        ))}
      </Box>
    </Section>
  );
}
