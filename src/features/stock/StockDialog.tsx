'use client';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { useState } from 'react';
import { useController } from 'react-hook-form';
import * as z from 'zod/mini';
import { CABLE_KINDS, CABLE_WORDS, type CableHead } from '@/core/cables/kinds';
import { places } from '@/core/vocabulary/vocabulary';
import { STOCK_STATES, stockItem, type StockItem } from '@/model/stock/item';
import { newId } from '@/store/browser';
import { nowIso } from '@/store/now';
import { FormChoices, FormReading, FormText, freeText, saidText, useSentForm, type SentForm } from '@/ui/forms';
import { useSettings, useWorkshop } from '../workshop/WorkshopProvider';

export const STATE_CHOICES = STOCK_STATES.map((id) => ({ id, label: { new: 'New', good: 'Good', worn: 'Worn' }[id] }));

const form = z.extend(
  z.pick(stockItem, { place: true, state: true, bicycle: true, quantity: true, worth: true, cost: true }),
  {
    label: saidText('Say what it is.', 120),
    size: freeText(120),
    from: freeText(200),
    /** Of a length of cable. */
    cableKind: z.enum(['none', ...CABLE_KINDS]),
    cableMm: z.nullable(z.number()),
    heads: z.enum(['none', 'pear', 'barrel', 'shifter', 'pear and barrel']),
  },
);
type Filled = z.output<typeof form>;

const EMPTY: Filled = {
  label: '',
  place: 'frame',
  size: '',
  state: 'good',
  from: '',
  bicycle: null,
  quantity: 1,
  worth: 0,
  cost: null,
  cableKind: 'none',
  cableMm: null,
  heads: 'none',
};

const CABLE_CHOICES = [
  { id: 'none', label: 'Not cut from' },
  ...CABLE_KINDS.map((id) => ({ id, label: CABLE_WORDS[id].replace(/^./, (first) => first.toUpperCase()) })),
] as const;
const HEAD_CHOICES = [
  { id: 'none', label: 'No head' },
  { id: 'pear', label: 'Pear' },
  { id: 'barrel', label: 'Barrel' },
  { id: 'shifter', label: 'Shifter' },
  { id: 'pear and barrel', label: 'Pear and barrel' },
] as const;
const HEADS: Record<Filled['heads'], CableHead[]> = {
  none: [],
  pear: ['pear'],
  barrel: ['barrel'],
  shifter: ['shifter'],
  'pear and barrel': ['pear', 'barrel'],
};

/** A coil, a rest or an inner: what cut lists are made from. */
function OfCable({ control }: Pick<SentForm<Filled>, 'control'>) {
  const { field: place } = useController({ control, name: 'place' });
  const { field: kind } = useController({ control, name: 'cableKind' });
  if (!place.value.startsWith('cables')) return null;
  return (
    <Box sx={{ display: 'grid', gap: 1.5 }}>
      <FormChoices control={control} name="cableKind" label="Cables are cut from it" options={CABLE_CHOICES} />
      {kind.value !== 'none' && (
        <Box sx={{ display: 'flex', gap: 2, flexWrap: 'wrap', alignItems: 'end' }}>
          <FormReading
            control={control}
            name="cableMm"
            mayBeEmpty
            label="Each is long"
            kind="length"
            unit="mm"
            width={150}
            refuse={(mm) => (mm <= 0 || mm > 100_000 ? 'no coil is that long' : null)}
          />
          <FormChoices control={control} name="heads" label="Its head" options={HEAD_CHOICES} />
        </Box>
      )}
    </Box>
  );
}

function BelongsTo({ control }: Pick<SentForm<Filled>, 'control'>) {
  const { field } = useController({ control, name: 'place' });
  return (
    <TextField
      select
      label="Belongs to"
      value={field.value}
      onChange={(event) => field.onChange(event.target.value)}
      sx={{ minWidth: 180 }}
    >
      {places.map((place) => (
        <MenuItem key={place.id} value={place.id}>
          {place.label}
        </MenuItem>
      ))}
    </TextField>
  );
}

function Figures({ control }: Pick<SentForm<Filled>, 'control'>) {
  const { currency } = useSettings();
  return (
    <Box sx={{ display: 'flex', gap: 2, flexWrap: 'wrap' }}>
      <FormReading
        control={control}
        name="quantity"
        label="How many"
        kind="number"
        width={120}
        refuse={(n) => (n <= 0 || n > 1_000_000 ? 'one or more' : null)}
      />
      <FormReading control={control} name="worth" label="Worth, together" kind="money" unit={currency} width={160} />
      <FormReading
        control={control}
        name="cost"
        mayBeEmpty
        label="Cost, together"
        kind="money"
        unit={currency}
        width={160}
        help="Empty: shared out of the donor's price"
      />
    </Box>
  );
}

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
  const [given] = useState(() => ({ id: newId(), goneAt: null, ...draft }));
  const { control, submit } = useSentForm<Filled>(form, { ...EMPTY, ...draftFields(draft) }, async (filled) => {
    const { cableKind, cableMm, heads, ...plain } = filled;
    const cable =
      cableKind === 'none' || cableMm === null
        ? {}
        : { cable: { kind: cableKind, lengthMm: cableMm, heads: HEADS[heads] } };
    if (await workshop.putStock([{ ...plain, ...cable, id: given.id, goneAt: given.goneAt, at: nowIso() }]))
      onClose(true);
  });
  return (
    <Dialog open onClose={() => onClose(false)} aria-labelledby="stock-title" fullWidth maxWidth="sm">
      <Box component="form" noValidate onSubmit={submit} sx={{ p: { xs: 2, sm: 3 }, display: 'grid', gap: 2 }}>
        <Typography id="stock-title" variant="h2" sx={{ fontSize: '1.4rem' }}>
          Into the drawer
        </Typography>
        <FormText control={control} name="label" label="What it is" autoFocus />
        <FormChoices control={control} name="state" label="State" options={STATE_CHOICES} />
        <Box sx={{ display: 'flex', gap: 2, flexWrap: 'wrap' }}>
          <FormText control={control} name="size" label="Size, as marked or measured" />
          <BelongsTo control={control} />
          <FormText control={control} name="from" label="Where from" />
        </Box>
        <OfCable control={control} />
        <Figures control={control} />
        <Box sx={{ display: 'flex', gap: 1, justifyContent: 'flex-end' }}>
          <Button color="inherit" onClick={() => onClose(false)} sx={{ minHeight: 48 }}>
            Not now
          </Button>
          <Button type="submit" variant="contained" sx={{ minHeight: 48 }}>
            Put it in
          </Button>
        </Box>
      </Box>
    </Dialog>
  );
}

/** What of a draft the form asks for. */
function draftFields(draft: Partial<StockItem>): Partial<Filled> {
  const { id: _id, at: _at, goneAt: _goneAt, cable, ...fields } = draft;
  if (!cable) return fields;
  const heads = cable.heads.join(' and ');
  return {
    ...fields,
    cableKind: cable.kind,
    cableMm: cable.lengthMm,
    heads: HEAD_CHOICES.find(({ id }) => id === heads)?.id ?? 'none',
  };
}
