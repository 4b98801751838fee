'use client';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { placeLabel } from '@/core/vocabulary/vocabulary';
import * as z from 'zod/mini';
import { newId } from '@/store/browser';
import { nowIso } from '@/store/now';
import { dayOf } from '@/ui/format';
import { FormChoices, FormText, saidText, useSentForm } from '@/ui/forms';
import { RuledList } from '@/ui/RuledList';
import { Section } from '@/ui/Section';
import type { StageProps } from '../workshop/WorkshopProvider';

const EMPTY = { label: '', due: '', place: '' };
const ordered = z.strictObject({ label: saidText('Say what is ordered.', 120), due: z.string(), place: z.string() });

/** What is ordered and waited for; the floor tells of it. */
export function Deliveries({ bicycle, send }: StageProps) {
  // What is ordered is for a place that a job leads to; what is for none is of the bicycle as a whole.
  const places = [...new Set(bicycle.jobs.flatMap((job) => (job.decision === 'keep' && !job.done ? [job.place] : [])))];
  const waiting = bicycle.deliveries.filter((row) => row.arrivedAt === null);
  const { control, submit } = useSentForm(ordered, EMPTY, ({ label, due, place }, form) => {
    send({
      type: 'putDelivery',
      delivery: { id: newId(), label, dueOn: due || null, arrivedAt: null, place: place || null },
    });
    form.reset(EMPTY);
  });
  return (
    <Section title="Ordered" aside={waiting.length ? `${waiting.length} waited for` : undefined}>
      <RuledList>
        {waiting.map((row) => (
          <Box component="li" key={row.id} sx={{ display: 'flex', gap: 2, alignItems: 'center', py: 1 }}>
            <Box sx={{ flex: 1, overflowWrap: 'anywhere' }}>
              <b>{row.label}</b>
              {row.place && `, for ${placeLabel(row.place).toLowerCase()}`}
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
        <FormText control={control} name="due" label="Due" type="date" sx={{ width: 170 }} />
        {places.length > 0 && (
          <FormChoices
            control={control}
            name="place"
            label="For"
            options={[
              { id: '', label: 'The bicycle' },
              ...places.map((place) => ({ id: place, label: placeLabel(place) })),
            ]}
          />
        )}
        <Button type="submit" variant="outlined">
          Wait for it
        </Button>
      </Box>
    </Section>
  );
}
