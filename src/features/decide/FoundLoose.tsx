'use client';
import Box from '@mui/material/Box';
import type { Bicycle } from '@/model/record';
import { boltsInput, foundLoose } from '@/model/rebuild/questions';
import { useReckon } from '../workshop/useReckon';
import { useSettings } from '../workshop/WorkshopProvider';

/** What the torque round found loose: it goes to the customer, also where nothing was asked. */
export function FoundLoose({ bicycle }: { bicycle: Bicycle }) {
  const { output } = useReckon('rebuild.bolts', boltsInput(bicycle, useSettings()));
  const loose = output ? foundLoose(bicycle, output.bolts) : [];
  if (loose.length === 0) return null;
  return (
    <Box sx={{ mt: 2 }}>
      Found loose in the torque round, and tightened: <b>{loose.map(({ label }) => label).join(', ')}</b>.
    </Box>
  );
}
