'use client';
import Box from '@mui/material/Box';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import { useHand } from '../workshop/useHand';

/** Who signs: chosen once, and told beside everything that is signed. */
export function AtTheBench() {
  const { name, people, choose } = useHand();
  if (people.length < 2)
    return (
      <Box component="span">
        signed as <b>{name || 'nobody named'}</b>
      </Box>
    );
  return (
    <TextField
      select
      size="small"
      label="At the bench"
      value={people.find((person) => person.name === name)?.id ?? ''}
      onChange={(event) => choose(event.target.value)}
      sx={{ minWidth: 180 }}
    >
      {people.map((person) => (
        <MenuItem key={person.id} value={person.id}>
          {person.name}
        </MenuItem>
      ))}
    </TextField>
  );
}
