'use client';
import Box from '@mui/material/Box';
import { useMemo } from 'react';
import type { BooksRow } from '@/model/books/books';
import { DataTable, type DataColumn } from '@/ui/DataTable';
import { dayOf, hours, moneyInFull } from '@/ui/format';
import { stateColour } from '@/ui/StateMark';
import { stageHref } from '../workshop/stageLink';

function columnsFor(currency: string): DataColumn<BooksRow>[] {
  const amount = (value: number) => (
    <Box component="span" sx={value < 0 ? { color: stateColour('replace'), fontWeight: 640 } : undefined}>
      {moneyInFull(value, currency)}
    </Box>
  );
  return [
    {
      id: 'name',
      head: 'Bicycle',
      by: ({ name }) => name,
      cell: ({ id, name }) => (
        <Box component="a" href={stageHref(id, 'hand-over')} sx={{ color: 'inherit', fontWeight: 620 }}>
          {name}
        </Box>
      ),
    },
    { id: 'on', head: 'Sold', by: ({ on }) => on, cell: ({ on }) => (on ? dayOf(on) : '–'), wideOnly: true },
    {
      id: 'price',
      head: 'For',
      by: ({ price }) => price,
      align: 'end',
      cell: ({ price }) => moneyInFull(price, currency),
    },
    {
      id: 'costs',
      head: 'Cost',
      by: ({ bought, parts, road, besides }) => bought + parts + road + besides,
      align: 'end',
      wideOnly: true,
      cell: ({ bought, parts, road, besides }) => moneyInFull(bought + parts + road + besides, currency),
    },
    {
      id: 'earned',
      head: 'Earned',
      by: ({ earned }) => earned,
      align: 'end',
      cell: ({ earned }) => <b>{amount(earned)}</b>,
    },
    {
      id: 'minutes',
      head: 'Hours',
      by: ({ minutes }) => minutes,
      align: 'end',
      wideOnly: true,
      cell: ({ minutes }) => hours(minutes),
    },
    {
      id: 'perHour',
      head: 'An hour',
      by: ({ perHour }) => perHour,
      align: 'end',
      cell: ({ perHour }) => (perHour === null ? '–' : amount(perHour)),
    },
  ];
}

/** Finished bicycles, in whichever order their heads are pressed. */
export function BooksTable({ rows, currency }: { rows: readonly BooksRow[]; currency: string }) {
  const columns = useMemo(() => columnsFor(currency), [currency]);
  return <DataTable label="Finished bicycles" items={rows} columns={columns} keyOf={({ id }) => id} />;
}
