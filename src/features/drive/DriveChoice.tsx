'use client';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import type { DriveFamily } from '@/model/drive/part';
import type { StageProps } from '../workshop/WorkshopProvider';

/** What a part of the drive is, chosen from words; an empty one leaves it unsaid. */
export function DriveChoice({
  bicycle,
  send,
  part,
  label,
  options,
  width = 260,
}: StageProps & {
  part: DriveFamily;
  label: string;
  options: readonly { id: string; label: string }[];
  width?: number;
}) {
  return (
    <TextField
      select
      label={label}
      value={bicycle.driveFamilies[part] ?? ''}
      slotProps={{ select: { displayEmpty: true } }}
      onChange={({ target: { value } }) => send({ type: 'sayDriveFamily', part, family: value === '' ? null : value })}
      sx={{ width, maxWidth: '100%' }}
    >
      <MenuItem value="">Not said</MenuItem>
      {options.map(({ id, label: words }) => (
        <MenuItem key={id} value={id}>
          {words}
        </MenuItem>
      ))}
    </TextField>
  );
}
