'use client';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { dayOf } from '@/ui/format';
import type { PlaceProps } from '../workshop/declared';

/** What the parts of a place were told to be, by measuring them. */
export function IdentifiedHere({ bicycle, send, place }: PlaceProps) {
  return bicycle.identified
    .filter((row) => row.place === place)
    .map((row) => (
      <Box key={row.id} sx={{ display: 'flex', gap: 1, alignItems: 'center' }}>
        <Box>
          It is: <b>{row.name}</b>{' '}
          <Box component="span" sx={{ color: 'text.secondary' }}>
            measured on {dayOf(row.at)}
          </Box>
        </Box>
        <Button size="small" color="inherit" onClick={() => send({ type: 'removeIdentified', identified: row.id })}>
          Take back
        </Button>
      </Box>
    ));
}
