'use client';
import Box from '@mui/material/Box';
import { ArrowDown, ArrowUp } from '@/ui/toolIcons';
import {
  createSortedRowModel,
  rowSortingFeature,
  tableFeatures,
  useTable,
  type ColumnDef,
  type Row,
} from '@tanstack/react-table';
import { useMemo, type ReactNode } from 'react';
import { useOnScreen } from './useOnScreen';

const features = tableFeatures({ rowSortingFeature, sortedRowModel: createSortedRowModel() });

/** A column: what stands in it, and by what it is put in order. */
export interface DataColumn<Item> {
  id: string;
  head: string;
  /** The heading is told, not shown: a column of keys. */
  quiet?: boolean;
  cell(item: Item): ReactNode;
  /** What the rows are put in order by; null comes last. Left out where there is no order. */
  by?(item: Item): string | number | null;
  align?: 'end';
  /** Left out on a phone, where its words stand elsewhere or are not needed. */
  wideOnly?: boolean;
  width?: string;
}

/** Words by the alphabet, numbers by size. */
function compared(a: unknown, b: unknown): number {
  if (typeof a === 'number' && typeof b === 'number') return a - b;
  return String(a).localeCompare(String(b), 'en', { numeric: true });
}

function columnsFor<Item extends object>(columns: readonly DataColumn<Item>[]): ColumnDef<typeof features, Item>[] {
  return columns.map(({ id, head, by }) => ({
    id,
    header: head,
    accessorFn: (item: Item) => by?.(item) ?? undefined,
    enableSorting: by !== undefined,
    sortDescFirst: false,
    // What is not known comes last, whichever way round.
    sortUndefined: 'last',
    sortFn: (a: Row<typeof features, Item>, b: Row<typeof features, Item>, column: string) =>
      compared(a.getValue(column), b.getValue(column)),
  }));
}

const WIDE_ONLY = { display: { xs: 'none', sm: 'table-cell' } } as const;
const FEW_ROWS = 60;
const USUAL_ROW_PX = 62;

/** Rows that can be put in order by their columns' heads. A long table draws what is on the screen. */
export function DataTable<Item extends object>({
  label,
  items,
  columns,
  keyOf,
  inOrder,
}: {
  label: string;
  items: readonly Item[];
  columns: readonly DataColumn<Item>[];
  keyOf(item: Item): string;
  /** The order in which it opens; as given where it is left out. */
  inOrder?: { column: string; down?: boolean };
}) {
  const defined = useMemo(() => columnsFor(columns), [columns]);
  const data = useMemo(() => [...items], [items]);
  const table = useTable({
    features,
    columns: defined,
    data,
    getRowId: keyOf,
    initialState: { sorting: inOrder ? [{ id: inOrder.column, desc: inOrder.down ?? false }] : [] },
  });
  const rows = table.getRowModel().rows;
  const long = rows.length > FEW_ROWS;
  const { list, indices, abovePx, belowPx, measure } = useOnScreen<HTMLTableSectionElement>(
    long ? rows.length : 0,
    USUAL_ROW_PX,
    (i) => rows[i]!.id,
  );
  const shown = long
    ? indices.flatMap((i) => (rows[i] ? [{ row: rows[i], i }] : []))
    : rows.map((row, i) => ({ row, i }));
  const gap = (heightPx: number) =>
    heightPx > 0 && (
      <tr aria-hidden="true">
        <td colSpan={columns.length} style={{ height: heightPx, padding: 0, border: 0 }} />
      </tr>
    );
  return (
    <Box
      component="table"
      aria-label={label}
      aria-rowcount={rows.length + 1}
      sx={{
        width: '100%',
        borderCollapse: 'collapse',
        fontVariantNumeric: 'tabular-nums',
        '& th, & td': {
          textAlign: 'start',
          verticalAlign: 'middle',
          py: 0.75,
          pl: 0,
          pr: 2,
          borderBottom: '1px solid',
        },
        '& th, & tr > *': { borderColor: 'divider' },
        '& tr > :last-of-type': { pr: 0 },
      }}
    >
      <thead>
        <tr>
          {table.getHeaderGroups()[0]!.headers.map(({ column }, i) => (
            <Head
              key={column.id}
              column={columns[i]!}
              order={column.getIsSorted()}
              onOrder={column.getToggleSortingHandler()}
            />
          ))}
        </tr>
      </thead>
      <tbody ref={list}>
        {gap(abovePx)}
        {shown.map(({ row, i }) => (
          <tr key={row.id} ref={long ? measure : undefined} data-index={i} aria-rowindex={i + 2}>
            {columns.map(({ id, cell, align, wideOnly }) => (
              <Box component="td" key={id} sx={wideOnly ? WIDE_ONLY : undefined} style={{ textAlign: align }}>
                {cell(row.original)}
              </Box>
            ))}
          </tr>
        ))}
        {gap(belowPx)}
      </tbody>
    </Box>
  );
}

const ARROWS = { asc: ArrowUp, desc: ArrowDown };
const ORDERS = { asc: 'ascending', desc: 'descending' } as const;

function Head<Item>({
  column: { head, quiet, align, wideOnly, width, by },
  order,
  onOrder,
}: {
  column: DataColumn<Item>;
  order: 'asc' | 'desc' | false;
  onOrder?: ((event: unknown) => void) | undefined;
}) {
  const Arrow = order ? ARROWS[order] : null;
  return (
    <Box
      component="th"
      scope="col"
      aria-sort={order ? ORDERS[order] : undefined}
      sx={{
        fontSize: '0.82rem',
        fontWeight: 500,
        color: 'text.secondary',
        ...(wideOnly && WIDE_ONLY),
      }}
      style={{ width, textAlign: align }}
    >
      {quiet ? (
        <span className="visually-hidden">{head}</span>
      ) : by ? (
        <Box
          component="button"
          onClick={onOrder}
          sx={{
            all: 'unset',
            cursor: 'pointer',
            display: 'inline-flex',
            alignItems: 'center',
            gap: 0.5,
            minHeight: 40,
            color: order ? 'text.primary' : undefined,
            fontWeight: order ? 640 : undefined,
            '&:hover': { color: 'text.primary' },
            '&:focus-visible': { outline: '3px solid', outlineColor: 'primary.main', outlineOffset: '2px' },
          }}
        >
          {head}
          {Arrow && <Arrow sx={{ fontSize: 16 }} />}
        </Box>
      ) : (
        head
      )}
    </Box>
  );
}
