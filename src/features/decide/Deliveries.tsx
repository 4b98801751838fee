'use client';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { useState } from 'react';
import { newId } from '@/store/browser';
import { nowIso } from '@/store/now';
import { dayOf } from '@/ui/format';
import { RuledList } from '@/ui/RuledList';
import { Section } from '@/ui/Section';
import { TextInput } from '@/ui/TextInput';
import type { StageProps } from '../workshop/WorkshopProvider';

/** What is ordered and waited for; the floor tells of it. */
export function Deliveries({ bicycle, send }: StageProps) {
  const [label, setLabel] = useState('');
  const [due, setDue] = useState('');
  const waiting = bicycle.deliveries.filter((row) => row.arrivedAt === null);
  const add = () => {
    if (label.trim() === '') return;
    send({
      type: 'putDelivery',
      delivery: { id: newId(), label: label.trim().slice(0, 120), dueOn: due || null, arrivedAt: null },
    });
    setLabel('');
    setDue('');
  };
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
      <Box sx={{ display: 'flex', gap: 1.5, flexWrap: 'wrap', pt: 1.5 }}>
        <TextInput
          label="What is ordered"
          value={label}
          onChange={(event) => setLabel(event.target.value)}
          onKeyDown={(event) => event.key === 'Enter' && add()}
          sx={{ flex: 1, minWidth: 200 }}
        />
        <TextInput
          label="Due"
          type="date"
          value={due}
          onChange={(event) => setDue(event.target.value)}
          slotProps={{ inputLabel: { shrink: true } }}
          sx={{ width: 170 }}
        />
        <Button variant="outlined" onClick={add} disabled={label.trim() === ''}>
          Wait for it
        </Button>
      </Box>
    </Section>
  );
}
