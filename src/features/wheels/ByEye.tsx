'use client';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import { useState } from 'react';
import { eyeReading, type Spot } from '@/model/wheels/eyeReading';
import type { WheelReading } from '@/model/wheels/part';
import { ReadingField } from '@/ui/ReadingField';
import { spotsByWord } from './words';

const WAYS: { way: Spot['way']; label: string; words: string }[] = [
  { way: 'left', label: 'Swings left', words: 'left' },
  { way: 'right', label: 'Swings right', words: 'right' },
  { way: 'true', label: 'Runs true', words: 'true' },
  { way: 'out', label: 'Hops out', words: 'outwards' },
  { way: 'in', label: 'Flat', words: 'inwards' },
];

/** Where a wheel swings, by eye: three spots are enough, each placed by the spoke that is nearest. */
export function ByEye({
  spokes,
  chosen,
  onChoose,
  onRead,
}: {
  spokes: number;
  chosen: number | null;
  onChoose(spoke: number | null): void;
  onRead(read: Pick<WheelReading, 'lateralMm' | 'radialMm'>): void;
}) {
  const [spots, setSpots] = useState<Spot[]>([]);
  const [mm, setMm] = useState<number | null>(1);
  const put = (way: Spot['way']) => {
    if (chosen === null || mm === null) return;
    setSpots((was) => [
      ...was.filter((each) => each.spoke !== chosen || isHop(each.way) !== isHop(way)),
      { spoke: chosen, way, mm },
    ]);
    onChoose(null);
  };
  const wanting = 3 - spots.filter(({ way }) => !isHop(way)).length;
  return (
    <Box>
      <Box sx={{ mb: 1, maxWidth: '56ch' }}>
        Tap the rim where it swings, or name the spot, and say which way and how far. Three spots are enough; where it
        runs true is a spot too.
      </Box>
      <Box role="group" aria-label="Where" sx={{ display: 'flex', gap: 1, flexWrap: 'wrap', mb: 1.5 }}>
        {spotsByWord(spokes).map(({ spoke, label }) => (
          <Button
            key={label}
            variant={chosen === spoke ? 'contained' : 'outlined'}
            color={chosen === spoke ? 'primary' : 'inherit'}
            aria-pressed={chosen === spoke}
            sx={{ minHeight: 48 }}
            onClick={() => onChoose(spoke)}
          >
            {label}
          </Button>
        ))}
      </Box>
      <Box data-readings sx={{ display: 'flex', gap: 1, flexWrap: 'wrap', alignItems: 'start' }}>
        <TextField
          select
          label="At spoke"
          value={chosen ?? ''}
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
          width={120}
          value={mm}
          onCommit={setMm}
          refuse={(value) => (value < 0 || value > 15 ? '0 to 15 mm' : null)}
        />
      </Box>
      <Box role="group" aria-label="Which way" sx={{ display: 'flex', gap: 1, flexWrap: 'wrap', mt: 1.5 }}>
        {WAYS.map(({ way, label }) => (
          <Button
            key={way}
            variant="outlined"
            sx={{ minHeight: 52, px: 1.25 }}
            disabled={chosen === null}
            onClick={() => put(way)}
          >
            {label}
          </Button>
        ))}
      </Box>
      {spots.length > 0 && (
        <Box component="ul" aria-label="Spots" sx={{ pl: 2.5, my: 1.5 }}>
          {spots.map(({ spoke, way, mm: by }) => (
            <li key={`${spoke} ${way}`}>
              Spoke {spoke + 1}:{' '}
              {way === 'true' ? 'runs true' : `${by} mm ${WAYS.find((each) => each.way === way)!.words}`}
            </li>
          ))}
        </Box>
      )}
      <Button
        variant="contained"
        sx={{ minHeight: 56, mt: 1.5 }}
        disabled={wanting > 0}
        onClick={() => {
          onRead(eyeReading(spots, spokes));
          setSpots([]);
        }}
      >
        {wanting > 0 ? `${wanting} more` : 'That is how it swings'}
      </Button>
    </Box>
  );
}

const isHop = (way: Spot['way']) => way === 'out' || way === 'in';
