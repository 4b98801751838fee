'use client';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { JudgedField, type Judge } from '../workshop/JudgedField';

/** A row of readings of one thing, each judged as it is typed, each to be taken back by a tap. */
export function Readings({
  label,
  unit,
  list,
  note,
  error,
  help,
  most = 48,
  signed = false,
  ...judge
}: Judge & {
  label: string;
  unit: string;
  list: number[];
  note(list: number[]): void;
  error: string | null;
  help: string;
  most?: number;
  signed?: boolean;
}) {
  return (
    <Box sx={{ display: 'flex', gap: 2, flexWrap: 'wrap', alignItems: 'start' }}>
      <JudgedField
        {...judge}
        earlier={list}
        label={label}
        kind={signed ? 'signed' : 'length'}
        unit={unit}
        value={null}
        keepEmpty
        large
        width={210}
        error={error}
        help={help}
        onCommit={(value) => note([...list, value].slice(-most))}
      />
      <Box
        component="ul"
        aria-label={`${label}: taken so far`}
        sx={{ display: 'flex', gap: 1, p: 0, m: 0, listStyle: 'none', flexWrap: 'wrap', flex: 1, minWidth: 160 }}
      >
        {list.map((value, i) => (
          <li key={i}>
            <Button
              size="small"
              variant="outlined"
              color="inherit"
              title="Take this reading back"
              aria-label={`Take back the reading ${value} ${unit}`}
              onClick={() => note(list.filter((_, at) => at !== i))}
            >
              {value} ×
            </Button>
          </li>
        ))}
      </Box>
    </Box>
  );
}
