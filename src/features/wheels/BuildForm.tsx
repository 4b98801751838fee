'use client';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import { useState } from 'react';
import { buildOf, usualBuild } from '@/model/wheels/questions';
import type { WheelBuild, WheelEnd } from '@/model/wheels/part';
import { kindOfUnit } from '@/ui/kindOfUnit';
import { ReadingField } from '@/ui/ReadingField';
import { useReckon } from '../workshop/useReckon';
import type { StageProps } from '../workshop/WorkshopProvider';

type Figure = Exclude<keyof WheelBuild, 'rimClass' | 'mirrored'>;
/** Of what is measured across, half is kept. */
const FIELDS: { figure: Figure; label: string; unit: string; least: number; most: number; across?: true }[] = [
  { figure: 'spokes', label: 'Spokes', unit: '', least: 16, most: 48 },
  { figure: 'crossings', label: 'Each crosses', unit: 'others', least: 0, most: 4 },
  { figure: 'rimRadiusMm', label: 'Nipple to nipple, across', unit: 'mm', least: 240, most: 700, across: true },
  { figure: 'leftRadiusMm', label: 'Left circle of holes', unit: 'mm', least: 10, most: 240, across: true },
  { figure: 'rightRadiusMm', label: 'Right circle of holes', unit: 'mm', least: 10, most: 240, across: true },
  { figure: 'leftOffsetMm', label: 'Left flange to the middle', unit: 'mm', least: 1, most: 80 },
  { figure: 'rightOffsetMm', label: 'Right flange to the middle', unit: 'mm', least: 1, most: 80 },
];

/** How a wheel is built: begun from a usual one, put right, and put down. */
export function BuildForm({ bicycle, send, end, onDone }: StageProps & { end: WheelEnd; onDone(): void }) {
  const [draft, setDraft] = useState<WheelBuild>(() => buildOf(bicycle, end) ?? usualBuild(bicycle, end));
  const classes = useReckon('wheels.classes', {}).output?.classes ?? [draft.rimClass];
  return (
    <Box>
      <Box sx={{ mb: 1.5, color: 'text.secondary', maxWidth: '60ch' }}>
        A usual wheel to begin from: put right what differs. Sizes within a few millimetres are enough.
      </Box>
      <Box data-readings sx={{ display: 'flex', gap: 1.5, flexWrap: 'wrap' }}>
        {FIELDS.map(({ figure, label, unit, least, most, across }) => (
          <ReadingField
            key={figure}
            label={label}
            kind={kindOfUnit(unit)}
            unit={unit}
            width={210}
            value={across ? 2 * draft[figure] : draft[figure]}
            onCommit={(value) => setDraft((was) => ({ ...was, [figure]: across ? value / 2 : value }))}
            refuse={(value) =>
              value < least || value > most
                ? `${least} to ${most}`
                : figure === 'spokes' && value % 2 !== 0
                  ? 'an even number'
                  : unit !== 'mm' && value % 1 !== 0
                    ? 'a whole number'
                    : null
            }
          />
        ))}
        <TextField
          select
          label="The rim"
          value={draft.rimClass}
          onChange={({ target: { value } }) => setDraft((was) => ({ ...was, rimClass: value }))}
          sx={{ width: 240 }}
        >
          {classes.map((rimClass) => (
            <MenuItem key={rimClass} value={rimClass}>
              {rimClass.charAt(0).toUpperCase() + rimClass.slice(1)}
            </MenuItem>
          ))}
        </TextField>
        <TextField
          select
          label="First spoke from the valve"
          value={draft.mirrored ? 'right' : 'left'}
          onChange={({ target: { value } }) => setDraft((was) => ({ ...was, mirrored: value === 'right' }))}
          sx={{ width: 240 }}
        >
          <MenuItem value="left">Of the left side</MenuItem>
          <MenuItem value="right">Of the right side</MenuItem>
        </TextField>
      </Box>
      <Button
        variant="contained"
        sx={{ mt: 2, minHeight: 56 }}
        onClick={() => {
          send({ type: 'buildWheel', end, build: draft });
          onDone();
        }}
      >
        So it is built
      </Button>
    </Box>
  );
}
