'use client';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { useMemo, useState } from 'react';
import { newId } from '@/store/browser';
import { nowIso } from '@/store/now';
import { KeptText } from '@/ui/KeptText';
import { useWorkshopState, type StageProps } from '../workshop/WorkshopProvider';

/** Tricks pinned to a step: this bicycle's own, and those that other bicycles with the same assembly taught. */
export function Tricks({ bicycle, send, assembly, step }: StageProps & { assembly: string; step: string }) {
  const summaries = useWorkshopState((state) => state.summaries);
  const [writing, setWriting] = useState(false);
  const own = bicycle.tricks.filter((row) => row.assembly === assembly && row.step === step);
  const others = useMemo(
    () =>
      Object.values(summaries)
        .filter((row) => row.id !== bicycle.id)
        .flatMap((row) =>
          row.tricks
            .filter((each) => each.assembly === assembly && each.step === step)
            .map((each) => ({ text: each.text, from: row.name })),
        ),
    [summaries, bicycle.id, assembly, step],
  );
  return (
    <Box sx={{ mt: 1 }}>
      {others.map((each) => (
        <Box
          key={`${each.from} ${each.text}`}
          sx={{ borderLeft: '3px solid', borderColor: 'primary.main', pl: 1.5, mb: 1 }}
        >
          <b>{each.text}</b>{' '}
          <Box component="span" sx={{ color: 'text.secondary' }}>
            learnt on {each.from}
          </Box>
        </Box>
      ))}
      {own.map((row) => (
        <Box key={row.id} sx={{ display: 'flex', alignItems: 'center', gap: 1 }}>
          <Box sx={{ borderLeft: '3px solid', borderColor: 'primary.main', pl: 1.5, flex: 1 }}>{row.text}</Box>
          <Button color="inherit" size="small" onClick={() => send({ type: 'removeTrick', trick: row.id })}>
            Remove
          </Button>
        </Box>
      ))}
      {writing ? (
        <KeptText
          label="The trick, for the next one"
          value=""
          most={300}
          width={420}
          onKeep={(text) => {
            setWriting(false);
            if (text.trim())
              send({
                type: 'putTrick',
                trick: { id: newId(), assembly, step, text: text.trim(), at: nowIso() },
              });
          }}
        />
      ) : (
        <Button color="inherit" sx={{ minHeight: 56 }} onClick={() => setWriting(true)}>
          Pin a trick to this step
        </Button>
      )}
    </Box>
  );
}
