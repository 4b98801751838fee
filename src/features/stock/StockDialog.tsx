'use client';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { useState } from 'react';
import { places } from '@/core/vocabulary/vocabulary';
import { STOCK_STATES, type StockItem } from '@/model/stock/item';
import { newId } from '@/store/browser';
import { nowIso } from '@/store/now';
import { Choices } from '@/ui/Choices';
import { ReadingField } from '@/ui/ReadingField';
import { useSettings, useWorkshop } from '../workshop/WorkshopProvider';

export const STATE_CHOICES = STOCK_STATES.map((id) => ({ id, label: { new: 'New', good: 'Good', worn: 'Worn' }[id] }));

/** Puts something into the drawer: what, where from, size, state, how many, what one would fetch. */
export function StockDialog({
  draft,
  onClose,
}: {
  draft: Partial<StockItem>;
  /** Whether it was kept. */
  onClose(kept: boolean): void;
}) {
  const workshop = useWorkshop();
  const { currency } = useSettings();
  const [item, setItem] = useState<StockItem>(() => ({
    id: newId(),
    label: '',
    place: 'frame',
    size: '',
    state: 'good',
    from: '',
    bicycle: null,
    quantity: 1,
    worth: 0,
    cost: null,
    goneAt: null,
    at: nowIso(),
    ...draft,
  }));
  const change = (changes: Partial<StockItem>) => setItem((now) => ({ ...now, ...changes }));
  const nameless = item.label.trim() === '';
  async function keep() {
    if (nameless) return;
    if (await workshop.putStock([{ ...item, label: item.label.trim(), at: nowIso() }])) onClose(true);
  }
  return (
    <Dialog open onClose={() => onClose(false)} aria-labelledby="stock-title" fullWidth maxWidth="sm">
      <Box
        component="form"
        onSubmit={(event) => {
          event.preventDefault();
          void keep();
        }}
        sx={{ p: { xs: 2, sm: 3 }, display: 'grid', gap: 2 }}
      >
        <Typography id="stock-title" variant="h2" sx={{ fontSize: '1.4rem' }}>
          Into the drawer
        </Typography>
        <TextField
          label="What it is"
          value={item.label}
          error={nameless}
          onChange={(event) => change({ label: event.target.value.slice(0, 120) })}
        />
        <Choices label="State" options={STATE_CHOICES} value={item.state} onChoose={(state) => change({ state })} />
        <Box sx={{ display: 'flex', gap: 2, flexWrap: 'wrap' }}>
          <TextField
            label="Size, as marked or measured"
            value={item.size}
            onChange={(event) => change({ size: event.target.value.slice(0, 120) })}
          />
          <TextField
            select
            label="Belongs to"
            value={item.place}
            onChange={(event) => change({ place: event.target.value })}
            sx={{ minWidth: 180 }}
          >
            {places.map((place) => (
              <MenuItem key={place.id} value={place.id}>
                {place.label}
              </MenuItem>
            ))}
          </TextField>
          <TextField
            label="Where from"
            value={item.from}
            onChange={(event) => change({ from: event.target.value.slice(0, 200) })}
          />
        </Box>
        <Box sx={{ display: 'flex', gap: 2, flexWrap: 'wrap' }}>
          <ReadingField
            label="How many"
            kind="number"
            width={120}
            value={item.quantity}
            refuse={(n) => (n <= 0 || n > 1_000_000 ? 'one or more' : null)}
            onCommit={(quantity) => change({ quantity })}
          />
          <ReadingField
            label="Worth, together"
            kind="money"
            unit={currency}
            width={160}
            value={item.worth}
            onCommit={(worth) => change({ worth })}
          />
          <ReadingField
            label="Cost, together"
            kind="money"
            unit={currency}
            width={160}
            value={item.cost}
            help="Empty: shared out of the donor's price"
            onCommit={(cost) => change({ cost })}
            onClear={() => change({ cost: null })}
          />
        </Box>
        <Box sx={{ display: 'flex', gap: 1, justifyContent: 'flex-end' }}>
          <Button color="inherit" onClick={() => onClose(false)} sx={{ minHeight: 48 }}>
            Not now
          </Button>
          <Button type="submit" variant="contained" disabled={nameless} sx={{ minHeight: 48 }}>
            Put it in
          </Button>
        </Box>
      </Box>
    </Dialog>
  );
}
