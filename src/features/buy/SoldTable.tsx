'use client';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import type { Bicycle } from '@/model/record';
import { DataTable, type DataColumn } from '@/ui/DataTable';
import { dayOf, money } from '@/ui/format';

type Typed = Bicycle['comparables'][number];
interface Own {
  id: string;
  label: string;
  price: number;
  soldOn: string | null;
}
type Sold = (Own & { typed: null }) | (Own & { typed: Typed });

/** Every sold one, the workshop's own and those that were typed or told; each of these can be left out. */
export function SoldTable({
  own,
  typed,
  why,
  currency,
  onToggle,
}: {
  own: readonly Own[];
  typed: readonly Typed[];
  /** Why one is not counted, where it is not. */
  why(row: Own): string | null;
  currency: string;
  onToggle(row: Typed): void;
}) {
  const items: Sold[] = [
    ...own.map((row) => ({ ...row, typed: null })),
    ...typed.map((row) => ({ id: row.id, label: row.label, price: row.price, soldOn: row.soldOn, typed: row })),
  ];
  const columns: DataColumn<Sold>[] = [
    {
      id: 'what',
      head: 'What',
      by: ({ label }) => label,
      cell: (row) => (
        <>
          <Box
            component="span"
            sx={{ textDecoration: row.typed?.off || (row.typed && why(row)) ? 'line-through' : 'none' }}
          >
            {row.label}
          </Box>
          <Box component="span" sx={{ color: 'text.secondary' }}>
            {row.typed === null && ', your own'}
            {row.typed && why(row) && ` · ${why(row)}`}
          </Box>
        </>
      ),
    },
    {
      id: 'day',
      head: 'Sold on',
      by: ({ soldOn }) => soldOn,
      cell: ({ soldOn }) => (soldOn ? dayOf(soldOn) : 'no date'),
      wideOnly: true,
    },
    {
      id: 'price',
      head: 'Fetched',
      by: ({ price }) => price,
      cell: ({ price }) => <b>{money(price, currency)}</b>,
      align: 'end',
    },
    {
      id: 'count',
      head: 'Counted or left out',
      quiet: true,
      align: 'end',
      cell: ({ typed: row }) =>
        row && (
          <Button
            size="small"
            color="inherit"
            aria-label={row.off ? `Count ${row.label}` : `Leave out ${row.label}`}
            onClick={() => onToggle(row)}
          >
            {row.off ? 'Count it' : 'Leave out'}
          </Button>
        ),
    },
  ];
  return <DataTable label="Sold ones" items={items} columns={columns} keyOf={({ id }) => id} />;
}
