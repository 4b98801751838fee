'use client';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import * as z from 'zod/mini';
import { newId } from '@/store/browser';
import { nowIso } from '@/store/now';
import { dayOf } from '@/ui/format';
import { FormText, saidText, useSentForm } from '@/ui/forms';
import { RuledList } from '@/ui/RuledList';
import { Section } from '@/ui/Section';
import type { StageProps } from '../workshop/WorkshopProvider';

const EMPTY = { label: '', due: '' };
const ordered = z.strictObject({ label: saidText('Say what is ordered.', 120), due: z.string() });

/** What is ordered and waited for; the floor tells of it. */
export function Deliveries({ bicycle, send }: StageProps) {
  const waiting = bicycle.deliveries.filter((row) => row.arrivedAt === null);
  const { control, submit } = useSentForm(ordered, EMPTY, ({ label, due }, form) => {
    send({ type: 'putDelivery', delivery: { id: newId(), label, dueOn: due || null, arrivedAt: null } });
    form.reset(EMPTY);
  });
  return (
    <Section title="Ordered" aside={waiting.length ? `${waiting.length} waited for` : undefined}>
      <RuledList>
        {waiting.map((row) => (
          <Box component="li" key={row.id} sx={{ display: 'flex', gap: 2, alignItems: 'center', py: 1 }}>
            <Box sx={{ flex: 1, overflowWrap: 'anywhere' }}>
              <b>{row.label}</b>
              {row.dueOn && (
                <Box component="span" sx={{ color: 'text.secondary' }}>
                  , due {dayOf(row.dueOn)}
                </Box>
              )}
            </Box>
            <Button
              size="small"
              variant="outlined"
              aria-label={`It has arrived: ${row.label}`}
              onClick={() => send({ type: 'putDelivery', delivery: { ...row, arrivedAt: nowIso() } })}
            >
              It has arrived
            </Button>
          </Box>
        ))}
      </RuledList>
      <Box
        component="form"
        noValidate
        onSubmit={submit}
        sx={{ display: 'flex', gap: 1.5, flexWrap: 'wrap', alignItems: 'start', pt: 1.5 }}
      >
        <FormText control={control} name="label" label="What is ordered" sx={{ flex: 1, minWidth: 200 }} />
        <FormText
          control={control}
          name="due"
          label="Due"
          type="date"
          slotProps={{ inputLabel: { shrink: true } }}
          sx={{ width: 170 }}
        />
        <Button type="submit" variant="outlined">
          Wait for it
        </Button>
      </Box>
    </Section>
  );
}
