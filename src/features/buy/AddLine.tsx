'use client';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { useMemo } from 'react';
import * as z from 'zod/mini';
import { newId } from '@/store/browser';
import { FormText, saidText, useSentForm } from '@/ui/forms';
import type { StageProps } from '../workshop/WorkshopProvider';

const formFor = (taken: readonly string[]) =>
  z.strictObject({
    label: saidText('Say what you see.', 120).check(
      z.refine((label) => !taken.includes(label), { error: 'There is a line of that name.' }),
    ),
  });

/** A fault that the door check does not ask about, with figures to begin with. */
export function AddLine({ taken, send }: { taken: string[] } & Pick<StageProps, 'send'>) {
  const schema = useMemo(() => formFor(taken), [taken]);
  const { control, submit } = useSentForm(schema, { label: '' }, ({ label }, form) => {
    send({
      type: 'putCostLine',
      line: {
        id: newId(),
        label,
        kind: 'fault',
        chance: 0.5,
        parts: { low: 0, likely: 1000, high: 3000 },
        minutes: { low: 15, likely: 30, high: 60 },
      },
    });
    form.reset({ label: '' });
  });
  return (
    <Box
      component="form"
      noValidate
      onSubmit={submit}
      sx={{ display: 'flex', gap: 1.5, alignItems: 'start', borderTop: '1px solid', borderColor: 'divider', pt: 2 }}
    >
      <FormText control={control} name="label" label="Another fault you see" sx={{ flex: 1, maxWidth: 420 }} />
      <Button type="submit" variant="outlined">
        Add
      </Button>
    </Box>
  );
}
