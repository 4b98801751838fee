'use client';
import Button from '@mui/material/Button';
import { placeLabel } from '@/core/vocabulary/vocabulary';
import { newId } from '@/store/browser';
import { nowIso } from '@/store/now';
import type { StageProps } from './WorkshopProvider';

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
