'use client';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Link from 'next/link';
import type { Complaint } from '@/model/inspect/part';
import { newId } from '@/store/browser';
import { nowIso } from '@/store/now';
import { Choices } from '@/ui/Choices';
import { stageHref } from '../workshop/stageLink';
import { useHand } from '../workshop/useHand';
import { useReckon } from '../workshop/useReckon';
import type { StageProps } from '../workshop/WorkshopProvider';

/** What is heard, and what changes it: from here the diagnosis goes on. It stands as a complaint, and keeps it in where its cause is unsafe. */
export function Heard({ bicycle, send }: StageProps) {
  const { name: by } = useHand();
  const { output: known } = useReckon('inspect.knowledge', {});
  if (!known) return null;
  const open = bicycle.complaints.find((row) => row.closedAt === null);
  const put = (complaint: Complaint) => send({ type: 'putComplaint', complaint });
  const hear = (what: string) => {
    const row = open ?? { id: newId(), complaints: [], results: [], unavailable: [], closedAt: null, known: [] };
    put({ ...row, complaints: [...new Set([...row.complaints, what])].slice(0, 10) });
  };
  const noises = known.complaints.filter(({ id }) => known.noises.complaints.includes(id));
  return (
    <Box sx={{ mt: 1 }}>
      <Box role="group" aria-label="What is heard" sx={{ display: 'flex', gap: 1, flexWrap: 'wrap' }}>
        {noises.map(({ id, label }) => {
          const on = open?.complaints.includes(id) ?? false;
          return (
            <Button
              key={id}
              variant={on ? 'contained' : 'outlined'}
              color="inherit"
              aria-pressed={on}
              sx={{ minHeight: 48 }}
              onClick={() => !on && hear(id)}
            >
              {label}
            </Button>
          );
        })}
      </Box>
      {open && (
        <Box sx={{ mt: 1.5 }}>
          <Box sx={{ fontWeight: 640, mb: 0.5 }}>What changes it?</Box>
          <Box sx={{ display: 'grid', gap: 1, gridTemplateColumns: { xs: '1fr', sm: '1fr 1fr' } }}>
            {known.noises.tests.map((id) => {
              const test = known.tests.find((each) => each.id === id)!;
              return (
                <Choices
                  key={id}
                  label={test.label}
                  options={test.outcomes}
                  value={open.results.findLast((row) => row.test === id)?.outcome ?? null}
                  onChoose={(outcome) =>
                    put({
                      ...open,
                      results: [
                        ...open.results.filter((row) => row.test !== id),
                        { test: id, outcome, at: nowIso(), ...(by && { by }) },
                      ],
                    })
                  }
                />
              );
            })}
          </Box>
          <Box
            component={Link}
            prefetch={false}
            href={stageHref(bicycle.id, 'look-over')}
            sx={{ display: 'inline-block', mt: 1.5, color: 'primary.main', fontWeight: 640 }}
          >
            Find its cause
          </Box>
        </Box>
      )}
    </Box>
  );
}
