'use client';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { useMemo } from 'react';
import { placeLabel } from '@/core/vocabulary/vocabulary';
import type { StockItem } from '@/model/stock/item';
import { DataTable, type DataColumn } from '@/ui/DataTable';
import { moneyInFull } from '@/ui/format';

const STATE_WORDS: Record<StockItem['state'], string> = { new: 'new', good: 'good', worn: 'worn' };
const STATE_RANK: Record<StockItem['state'], number> = { new: 0, good: 1, worn: 2 };

/** How many, what, and of which size; a press opens it. */
function What({ item, onOpen }: { item: StockItem; onOpen(): void }) {
  return (
    <Box
      component="button"
      onClick={onOpen}
      sx={{
        all: 'unset',
        cursor: 'pointer',
        minHeight: 52,
        display: 'block',
        '&:focus-visible': { outline: '3px solid', outlineColor: 'primary.main' },
      }}
    >
      <Box sx={{ fontWeight: 640 }}>
        {item.quantity !== 1 && `${Math.round(item.quantity * 1000) / 1000} × `}
        {item.label}
        {item.size && (
          <Box component="span" sx={{ fontWeight: 400 }}>
            {' '}
            {item.size}
          </Box>
        )}
      </Box>
      <Box sx={{ fontSize: '0.88rem', color: 'text.secondary' }}>
        <Box component="span" sx={{ display: { sm: 'none' } }}>
          {STATE_WORDS[item.state]} · {placeLabel(item.place).toLowerCase()}
          {item.from && ' · '}
        </Box>
        {item.from && `from ${item.from}`}
      </Box>
    </Box>
  );
}

function Cost({ item, cost, currency }: { item: StockItem; cost: number | null; currency: string }) {
  return (
    <>
      <Box sx={{ fontSize: '1.15rem', fontWeight: 660 }}>{cost === null ? '–' : moneyInFull(cost, currency)}</Box>
      <Box sx={{ fontSize: '0.8rem', color: 'text.secondary' }}>
        {cost === null ? 'cost not known' : item.cost === null ? 'share of its donor' : 'what it cost'}
      </Box>
    </>
  );
}

/** What lies in the drawer, by place at first, and in whatever order its heads are pressed. */
export function StockTable({
  items,
  costs,
  currency,
  onOpen,
  onGone,
}: {
  items: readonly StockItem[];
  costs: ReadonlyMap<string, number | null>;
  currency: string;
  onOpen(item: StockItem): void;
  onGone(item: StockItem): void;
}) {
  const columns = useMemo(
    (): DataColumn<StockItem>[] => [
      {
        id: 'what',
        head: 'What',
        by: (item) => item.label,
        cell: (item) => <What item={item} onOpen={() => onOpen(item)} />,
      },
      {
        id: 'place',
        head: 'Belongs to',
        by: (item) => placeLabel(item.place),
        cell: (item) => placeLabel(item.place),
        wideOnly: true,
        width: '150px',
      },
      {
        id: 'state',
        head: 'State',
        by: (item) => STATE_RANK[item.state],
        cell: (item) => STATE_WORDS[item.state],
        wideOnly: true,
        width: '76px',
      },
      {
        id: 'cost',
        head: 'Cost',
        by: (item) => costs.get(item.id) ?? null,
        cell: (item) => <Cost item={item} cost={costs.get(item.id) ?? null} currency={currency} />,
        align: 'end',
        wideOnly: true,
        width: '130px',
      },
      {
        id: 'gone',
        head: 'Used or sold',
        quiet: true,
        cell: (item) => (
          <Button
            color="inherit"
            onClick={() => onGone(item)}
            aria-label={`Used or sold: ${item.label}`}
            sx={{ minHeight: 52 }}
          >
            Used or sold
          </Button>
        ),
        align: 'end',
        width: '84px',
      },
    ],
    [costs, currency, onOpen, onGone],
  );
  return (
    <DataTable
      label="Parts in stock"
      items={items}
      columns={columns}
      keyOf={(item) => item.id}
      inOrder={{ column: 'place' }}
    />
  );
}
