'use client';
import Box from '@mui/material/Box';
import { useMemo, type ComponentProps } from 'react';
import { useOnScreen } from '@/ui/useOnScreen';
import { useIsPhone } from '../workshop/useIsPhone';
import { FloorRow } from './FloorRow';
import type { FloorListProps } from './ShortList';
import { useDrawnRows } from './useDrawnRows';

/** A row of a long list; drawn anew only where its own row or its place has changed. */
function LongRow({
  index,
  count,
  measure,
  ...shown
}: Omit<ComponentProps<typeof FloorRow>, 'inLong'> & NonNullable<ComponentProps<typeof FloorRow>['inLong']>) {
  const inLong = useMemo(() => ({ index, count, measure }), [index, count, measure]);
  return <FloorRow {...shown} inLong={inLong} />;
}

/** A floor of many bicycles: those on the screen are drawn. */
export function LongList({ label, rows, ...shown }: FloorListProps) {
  const isPhone = useIsPhone();
  const { list, indices, abovePx, belowPx, measure } = useOnScreen<HTMLUListElement>(
    rows.length,
    isPhone ? 190 : 126,
    (i) => rows[i]!.id,
  );
  const [first, last] = [indices[0], indices.at(-1)];
  const onScreen = useMemo(() => (first === undefined ? [] : rows.slice(first, last! + 1)), [rows, first, last]);
  useDrawnRows(onScreen);
  return (
    <Box
      component="ul"
      ref={list}
      aria-label={label}
      style={{ paddingTop: abovePx, paddingBottom: belowPx }}
      sx={{ p: 0, m: 0, borderBottom: '1px solid', borderColor: 'divider' }}
    >
      {onScreen.map((row, i) => (
        <LongRow key={row.id} row={row} {...shown} index={first! + i} count={rows.length} measure={measure} />
      ))}
    </Box>
  );
}
