'use client';
import Box from '@mui/material/Box';
import ToggleButton from '@mui/material/ToggleButton';
import ToggleButtonGroup from '@mui/material/ToggleButtonGroup';
import Typography from '@mui/material/Typography';
import { useId } from 'react';

export interface Choice<Value extends string> {
  id: Value;
  label: string;
}

/** One question, one tap. Choosing the chosen one again changes nothing, so that a slip takes nothing away. */
export function Choices<Value extends string>({
  label,
  options,
  value,
  onChoose,
  hideLabel,
}: {
  label: string;
  options: readonly Choice<Value>[];
  value: Value | null;
  onChoose(value: Value): void;
  hideLabel?: boolean;
}) {
  const id = useId();
  return (
    <Box>
      <Typography
        id={id}
        variant="caption"
        component="div"
        sx={{
          color: 'text.secondary',
          mb: 0.5,
          ...(hideLabel && {
            position: 'absolute',
            width: '1px',
            height: '1px',
            overflow: 'hidden',
            clipPath: 'inset(50%)',
          }),
        }}
      >
        {label}
      </Typography>
      <ToggleButtonGroup
        exclusive
        value={value}
        aria-labelledby={id}
        onChange={(_event, next: Value | null) => next !== null && onChoose(next)}
        sx={{
          flexWrap: 'wrap',
          rowGap: '6px',
          pl: '1px',
          // A choice that begins a further line has its left edge too.
          '& .MuiToggleButtonGroup-grouped': { ml: '-1px', borderLeft: '1px solid', borderLeftColor: 'divider' },
        }}
      >
        {options.map((option) => (
          <ToggleButton key={option.id} value={option.id}>
            {option.label}
          </ToggleButton>
        ))}
      </ToggleButtonGroup>
    </Box>
  );
}
