'use client';
import Box from '@mui/material/Box';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import { useState } from 'react';
import type { FoundRow } from '@/core/identify/tables';
import { DataTable, type DataColumn } from '@/ui/DataTable';
import { RuledList } from '@/ui/RuledList';
import { useReckon } from '../workshop/useReckon';

/** A column of a table in words. Example: `overLocknutMm` → "over locknut mm". */
const column = (key: string) => key.replace(/([A-Z]+)/g, ' $1').toLowerCase();
const HEADS = ['name', 'code', 'mount', 'class', 'rimClass', 'fractionIn', 'place', 'familyKey'];
const HIDDEN = new Set(['source', 'confidence', 'note', 'caution']);

function Row({ row }: { row: FoundRow }) {
  const head = HEADS.find((key) => key in row.cells);
  const rest = Object.entries(row.cells).filter(([key]) => key !== head && !HIDDEN.has(key));
  const words = row.cells.caution ?? row.cells.note;
  return (
    <Box component="li" sx={{ py: 1.25 }}>
      <Box sx={{ fontWeight: 650 }}>
        {head ? row.cells[head] : row.label}{' '}
        <Box component="span" sx={{ fontWeight: 400, color: 'text.secondary', fontSize: '0.86rem' }}>
          {row.label}
        </Box>
      </Box>
      <Box sx={{ fontSize: '0.92rem' }}>
        {rest.map(([key, value]) => (
          <Box
            component="span"
            key={key}
            sx={{ mr: 1.5, display: typeof value === 'number' ? 'inline-block' : 'inline' }}
          >
            <Box component="span" sx={{ color: 'text.secondary' }}>
              {column(key)}
            </Box>{' '}
            <b>{String(value).replaceAll('|', ' / ')}</b>
          </Box>
        ))}
      </Box>
      {words && <Box sx={{ fontSize: '0.92rem', mt: 0.25 }}>{words}</Box>}
      <Box sx={{ fontSize: '0.8rem', color: 'text.secondary' }}>
        {row.cells.source}, {row.cells.confidence} confidence
      </Box>
    </Box>
  );
}

const isFigure = (rows: readonly FoundRow[], key: string) =>
  rows.every(({ cells }) => typeof (cells[key] ?? 0) === 'number');

/** Longer than this it is a sentence, and is broken into lines. */
const A_WORD = 18;

function Cell({ words }: { words: string }) {
  return words.length > A_WORD ? (
    <Box sx={{ width: 220 }}>{words}</Box>
  ) : (
    <Box component="span" sx={{ whiteSpace: 'nowrap' }}>
      {words}
    </Box>
  );
}

/** One table as a table: its rows in whatever order is pressed, and what is said of each beneath its name. */
function OneTable({ rows }: { rows: readonly FoundRow[] }) {
  const keys = [...new Set(rows.flatMap(({ cells }) => Object.keys(cells)))];
  const head = HEADS.find((key) => keys.includes(key));
  const items = rows.map((row, i) => ({ row, id: `${row.table} ${i}` }));
  type Item = (typeof items)[number];
  const columns: DataColumn<Item>[] = [
    {
      id: 'head',
      head: head ? column(head) : 'row',
      by: ({ row }) => (head ? (row.cells[head] ?? null) : null),
      cell: ({ row }) => (
        <Box sx={{ width: 210 }}>
          <b>{head ? row.cells[head] : row.label}</b>
          <Box sx={{ fontSize: '0.8rem', color: 'text.secondary' }}>
            {[row.cells.caution ?? row.cells.note, `${row.cells.source}, ${row.cells.confidence} confidence`]
              .filter(Boolean)
              .join(' · ')}
          </Box>
        </Box>
      ),
    },
    ...keys
      .filter((key) => key !== head && !HIDDEN.has(key))
      // What is measured stands beside the name.
      .toSorted((one, other) => Number(isFigure(rows, other)) - Number(isFigure(rows, one)))
      .map((key): DataColumn<Item> => ({
        id: key,
        head: column(key),
        by: ({ row }) => row.cells[key] ?? null,
        cell: ({ row }) => <Cell words={String(row.cells[key] ?? '–').replaceAll('|', ' / ')} />,
        ...(isFigure(rows, key) && { align: 'end' }),
      })),
  ];
  return (
    <Box
      sx={{
        overflowX: 'auto',
        '& table': { width: 'max-content', minWidth: '100%' },
        '& td': { verticalAlign: 'top' },
      }}
    >
      <DataTable label="Rows found" items={items} columns={columns} keyOf={({ id }) => id} />
    </Box>
  );
}

/** Every shipped table, searched by words. */
export function TableSearch() {
  const [search, setSearch] = useState('');
  const [table, setTable] = useState('');
  const { output } = useReckon('identify.tables', { search, table: table || null });
  return (
    <Box sx={{ mt: 2.5 }}>
      <Box sx={{ display: 'flex', gap: 1.5, mb: 1.5, flexWrap: 'wrap' }}>
        <TextField
          label="Words"
          value={search}
          onChange={(event) => setSearch(event.target.value.slice(0, 80))}
          sx={{ flex: 1, minWidth: 180 }}
          autoFocus
        />
        <TextField
          select
          label="Table"
          value={table}
          onChange={(event) => setTable(event.target.value)}
          sx={{ minWidth: 180 }}
        >
          <MenuItem value="">All of them</MenuItem>
          {output?.tables.map((each) => (
            <MenuItem key={each.id} value={each.id}>
              {each.label}
            </MenuItem>
          ))}
        </TextField>
      </Box>
      {output && (
        <Box role="status" sx={{ color: 'text.secondary', mb: 1 }}>
          {output.found === 0
            ? 'No row has all of these words.'
            : `${output.found} rows${output.found > output.rows.length ? `, the first ${output.rows.length} shown` : ''}`}
        </Box>
      )}
      {table && output ? (
        <OneTable rows={output.rows} />
      ) : (
        <RuledList aria-label="Rows found">
          {output?.rows.map((row, i) => (
            <Row key={`${row.table} ${i}`} row={row} />
          ))}
        </RuledList>
      )}
    </Box>
  );
}
