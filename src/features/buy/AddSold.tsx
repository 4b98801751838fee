'use client';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { useMemo } from 'react';
import * as z from 'zod/mini';
import { SALE_STATES, SALE_STATE_WORDS } from '@/core/buy/saleStates';
import { minorUnits } from '@/core/fields';
import { newId } from '@/store/browser';
import { FormChoices, FormReading, FormText, saidText, useSentForm } from '@/ui/forms';
import { useToday } from '../workshop/useToday';
import type { StageProps } from '../workshop/WorkshopProvider';

const STATES = [
  { id: '' as const, label: 'Not known' },
  ...SALE_STATES.map((id) => ({ id, label: SALE_STATE_WORDS[id] })),
];
const EMPTY = { label: '', price: null, soldOn: '', sizeMm: null, state: '' as const };

const formOn = (today: string) =>
  z.strictObject({
    label: saidText('Say what it was.', 120),
    price: z.nullable(minorUnits).check(z.refine((price) => price !== null, { error: 'Say what it fetched.' })),
    sizeMm: z.nullable(z.number()),
    state: z.enum(['', ...SALE_STATES]),
    soldOn: z.string().check(z.refine((day) => day <= today, { error: 'That day is still to come' })),
  });

/** A sold one that somebody knows of. */
export function AddSold({ send, currency }: Pick<StageProps, 'send'> & { currency: string }) {
  const today = useToday();
  const schema = useMemo(() => formOn(today), [today]);
  const { control, submit } = useSentForm<z.output<typeof schema>>(
    schema,
    EMPTY,
    ({ label, price, soldOn, sizeMm, state }, form) => {
      if (price === null) return;
      send({
        type: 'putComparable',
        comparable: {
          id: newId(),
          label,
          price,
          soldOn: soldOn || null,
          from: 'typed',
          at: null,
          off: false,
          // Whoever types one in has a like one in mind; what differs is said.
          ...(sizeMm !== null && { sizeMm }),
          ...(state !== '' && { state }),
        },
      });
      form.reset(EMPTY);
    },
  );
  return (
    <Box
      component="form"
      noValidate
      onSubmit={submit}
      data-readings
      sx={{ display: 'flex', gap: 1.5, flexWrap: 'wrap', alignItems: 'start', mt: 2 }}
    >
      <FormText control={control} name="label" label="A sold one" sx={{ flex: 1, minWidth: 180, maxWidth: 300 }} />
      <FormReading control={control} name="price" mayBeEmpty label="Fetched" kind="money" unit={currency} width={130} />
      <FormText
        control={control}
        name="soldOn"
        label="Sold on"
        type="date"
        slotProps={{ htmlInput: { max: today } }}
        sx={{ width: 160 }}
      />
      <FormReading
        control={control}
        name="sizeMm"
        mayBeEmpty
        label="Its size"
        kind="length"
        unit="mm"
        width={120}
        refuse={(mm) => (mm < 250 || mm > 720 ? '250 to 720 mm' : null)}
      />
      <FormChoices control={control} name="state" label="Sold" options={STATES} />
      <Button type="submit" variant="outlined">
        Add
      </Button>
    </Box>
  );
}
