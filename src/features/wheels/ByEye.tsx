'use client';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import { useState } from 'react';
import { ReadingField } from '@/ui/ReadingField';

interface Spot {
  spoke: number;
  mm: number;
}

/** Where a wheel rubs, by eye: three spots are enough, each placed by the spoke that is nearest. */
export function ByEye({
  spokes,
  chosen,
  onChoose,
  onRead,
}: {
  spokes: number;
  chosen: number | null;
  onChoose(spoke: number | null): void;
  onRead(lateralMm: (number | null)[]): void;
}) {
  const [spots, setSpots] = useState<Spot[]>([]);
  const [mm, setMm] = useState<number | null>(1);
  const put = (side: 1 | -1) => {
    if (chosen === null || mm === null) return;
    setSpots((was) => [...was.filter(({ spoke }) => spoke !== chosen), { spoke: chosen, mm: side * mm }]);
    onChoose(null);
  };
  return (
    <Box>
      <Box sx={{ mb: 1, maxWidth: '56ch' }}>
        Tap the rim where it swings, or name the spoke, and say to which side and how far. Three spots are enough; where
        it runs true is a spot too, of nought.
      </Box>
      <Box data-readings sx={{ display: 'flex', gap: 1.5, flexWrap: 'wrap', alignItems: 'start' }}>
        <TextField
          select
          label="At spoke"
          value={chosen ?? ''}
          slotProps={{ inputLabel: { shrink: true } }}
          onChange={({ target: { value } }) => onChoose(Number(value))}
          sx={{ width: 130 }}
        >
          {Array.from({ length: spokes }, (_, i) => (
            <MenuItem key={i} value={i}>
              {i + 1}
            </MenuItem>
          ))}
        </TextField>
        <ReadingField
          label="By"
          kind="length"
          unit="mm"
          width={130}
          value={mm}
          onCommit={setMm}
          refuse={(value) => (value < 0 || value > 15 ? '0 to 15 mm' : null)}
        />
        <Button variant="outlined" sx={{ minHeight: 48 }} disabled={chosen === null} onClick={() => put(1)}>
          To the left
        </Button>
        <Button variant="outlined" sx={{ minHeight: 48 }} disabled={chosen === null} onClick={() => put(-1)}>
          To the right
        </Button>
      </Box>
      {spots.length > 0 && (
        <Box component="ul" aria-label="Spots" sx={{ pl: 2.5, my: 1 }}>
          {spots.map(({ spoke, mm: by }) => (
            <li key={spoke}>
              Spoke {spoke + 1}: {Math.abs(by)} mm {by === 0 ? '' : by > 0 ? 'left' : 'right'}
            </li>
          ))}
        </Box>
      )}
      <Button
        variant="contained"
        sx={{ minHeight: 56, mt: 1 }}
        disabled={spots.length < 3}
        onClick={() => {
          onRead(Array.from({ length: spokes }, (_, i) => spots.find(({ spoke }) => spoke === i)?.mm ?? null));
          setSpots([]);
        }}
      >
        {spots.length < 3 ? `${3 - spots.length} more` : 'That is how it swings'}
      </Button>
    </Box>
  );
}
