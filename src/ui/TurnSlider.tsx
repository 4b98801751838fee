'use client';
import Box from '@mui/material/Box';
import Slider from '@mui/material/Slider';
import { useId } from 'react';

/** Degrees of cone, looser to the left, tighter to the right. */
export function TurnSlider({
  label,
  value,
  low,
  high,
  words,
  onChange,
}: {
  label: string;
  value: number;
  low: number;
  high: number;
  words: string;
  onChange(value: number): void;
}) {
  const id = useId();
  return (
    <Box sx={{ maxWidth: 640, px: 1 }}>
      <Box id={id} sx={{ display: 'flex', justifyContent: 'space-between', color: 'text.secondary' }}>
        <span>{label}</span>
        <Box component="b" sx={{ color: 'text.primary' }}>
          {words}
        </Box>
      </Box>
      <Slider
        aria-labelledby={id}
        value={value}
        min={low}
        max={high}
        step={1}
        marks={[{ value: 0 }]}
        onChange={(_event, next) => onChange(next)}
      />
    </Box>
  );
}
