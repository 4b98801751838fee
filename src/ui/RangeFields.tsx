'use client';
import Box from '@mui/material/Box';
import { ReadingField, type ReadingKind } from './ReadingField';
import type { Range } from '@/core/fields';

const WORDS = { low: 'low', likely: 'likely', high: 'high' } as const;

/** A range that has not been spread yet follows its first figure; a spread one is refused when out of order. */
function changed(range: Range, end: keyof Range, value: number): Range {
  const unspread = range.low === range.likely && range.likely === range.high;
  if (!unspread) return { ...range, [end]: value };
  if (end === 'low') return { low: value, likely: Math.max(value, range.likely), high: Math.max(value, range.high) };
  if (end === 'likely') return { low: Math.min(range.low, value), likely: value, high: Math.max(value, range.high) };
  return { low: Math.min(range.low, value), likely: Math.min(range.likely, value), high: value };
}

function disorder(range: Range): string | null {
  if (range.low > range.likely) return 'low is over likely: put them in order';
  if (range.likely > range.high) return 'likely is over high: put them in order';
  return null;
}

/** Low, likely and high of one estimate. */
export function RangeFields({
  label,
  kind,
  unit,
  range,
  onCommit,
  width = 116,
}: {
  label: string;
  kind: ReadingKind;
  unit: string;
  range: Range;
  onCommit(range: Range): void;
  width?: number;
}) {
  return (
    <Box role="group" aria-label={label} sx={{ display: 'flex', gap: 1, flexWrap: 'wrap' }}>
      {(['low', 'likely', 'high'] as const).map((end) => (
        <ReadingField
          key={end}
          label={`${label}, ${WORDS[end]}`}
          kind={kind}
          unit={unit}
          width={width}
          value={range[end]}
          refuse={(value) => disorder(changed(range, end, value))}
          onCommit={(value) => onCommit(changed(range, end, value))}
        />
      ))}
    </Box>
  );
}
