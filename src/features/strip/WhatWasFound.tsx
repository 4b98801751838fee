'use client';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import type { Choice } from '@/core/strip/trays';
import { placeLabel } from '@/core/vocabulary/vocabulary';
import type { StageProps } from '../workshop/WorkshopProvider';

/** Which assembly was found at a place, where there is more than one to choose from. */
export function WhatWasFound({
  send,
  place,
  assembly,
  choices,
}: Pick<StageProps, 'send'> & { place: string; assembly: string; choices: Choice[] }) {
  if (choices.length < 2) return null;
  return (
    <TextField
      select
      label={`What was found: ${placeLabel(place).toLowerCase()}`}
      value={assembly}
      onChange={({ target: { value } }) =>
        send({ type: 'chooseAssembly', place, assembly: value, says: choices.find(({ id }) => id === value)?.says })
      }
      sx={{ minWidth: 230, maxWidth: '100%' }}
    >
      {choices.map((choice) => (
        <MenuItem key={choice.id} value={choice.id}>
          {choice.title}
        </MenuItem>
      ))}
    </TextField>
  );
}
