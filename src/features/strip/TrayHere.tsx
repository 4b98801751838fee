'use client';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Link from 'next/link';
import { partsOff } from '@/model/strip/trays';
import type { PlaceProps } from '../workshop/declared';
import { placeHref } from '../workshop/usePlaceAt';
import { useTrays } from '../workshop/useTrays';

/** What of a place lies in its tray, and the way there. */
export function TrayHere({ bicycle, place }: PlaceProps) {
  const trays = useTrays(bicycle);
  const tray = bicycle.trays.find((each) => each.place === place);
  const off = tray ? partsOff(tray) : [];
  return (
    <>
      {off.length > 0 && <Box>{off.length === 1 ? 'One part lies' : `${off.length} parts lie`} in its tray.</Box>}
      {trays?.trays.some((each) => each.place === place) && (
        <Button
          component={Link}
          prefetch={false}
          href={placeHref(bicycle.id, 'strip', place)}
          variant="outlined"
          color="inherit"
          sx={{ my: 1.5 }}
        >
          Its tray
        </Button>
      )}
    </>
  );
}
