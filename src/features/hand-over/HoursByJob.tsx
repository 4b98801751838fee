'use client';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import dynamic from 'next/dynamic';
import { useState } from 'react';
import { placeLabel } from '@/core/vocabulary/vocabulary';
import type { Bicycle } from '@/model/record';
import { minutesByJob, readableEntries, workedMinutes } from '@/model/work/hours';
import { Disclosure } from '@/ui/Disclosure';
import { dayOf, hours } from '@/ui/format';
import { RuledList } from '@/ui/RuledList';
import { useStageLabel } from '../workshop/declared';
import type { StageProps } from '../workshop/WorkshopProvider';

const TimeDialog = dynamic(() => import('../clock/TimeDialog').then((module) => module.TimeDialog), { ssr: false });

type Entry = Bicycle['minutes'][number];

/** Where the hours went, by job, beside what was estimated; each entry can be put right, and more be put down. */
export function HoursByJob({ bicycle, send }: StageProps) {
  const stageLabel = useStageLabel();
  const [open, setOpen] = useState<Entry | 'new' | null>(null);
  const { jobs, none } = minutesByJob(bicycle);
  const { long, short } = readableEntries(bicycle.minutes);
  const titleOf = (id: string) => bicycle.jobs.find((job) => job.id === id)?.title ?? 'A job that is gone';
  return (
    <Box sx={{ mt: 2 }}>
      {Object.keys(jobs).length > 0 && (
        <RuledList aria-label="Hours by job">
          {Object.entries(jobs).map(([id, minutes]) => {
            const job = bicycle.jobs.find((each) => each.id === id);
            return (
              <Box component="li" key={id} sx={{ py: 0.75, display: 'flex', gap: 2, justifyContent: 'space-between' }}>
                <Box>{titleOf(id)}</Box>
                <Box sx={{ textAlign: 'right', whiteSpace: 'nowrap' }}>
                  <b>{hours(minutes)}</b>
                  {job && (
                    <Box component="span" sx={{ color: 'text.secondary' }}>
                      {' '}
                      of {hours(job.minutes.likely)} likely
                    </Box>
                  )}
                </Box>
              </Box>
            );
          })}
          {none > 0 && (
            <Box component="li" sx={{ py: 0.75, display: 'flex', gap: 2, justifyContent: 'space-between' }}>
              <Box>On no job</Box>
              <b>{hours(none)}</b>
            </Box>
          )}
        </RuledList>
      )}
      <Box sx={{ display: 'flex', gap: 2, flexWrap: 'wrap', alignItems: 'center', mt: 1 }}>
        <Button variant="outlined" color="inherit" sx={{ minHeight: 48 }} onClick={() => setOpen('new')}>
          Log time
        </Button>
      </Box>
      {bicycle.minutes.length > 0 && (
        <Disclosure
          wide
          summary={
            <>
              {hours(workedMinutes(bicycle))} in{' '}
              {[
                long.length > 0 && (long.length === 1 ? 'one entry' : `${long.length} entries`),
                short > 0 && `${short} under a minute`,
              ]
                .filter(Boolean)
                .join(' and ')}
            </>
          }
        >
          <RuledList>
            {long.map((entry) => (
              <Box
                component="li"
                key={entry.id}
                sx={{ display: 'grid', gridTemplateColumns: '90px minmax(0, 1fr) auto', gap: 2, alignItems: 'center' }}
              >
                <Box sx={{ fontWeight: 620 }}>{hours(entry.minutes)}</Box>
                <Box>
                  {entry.job ? titleOf(entry.job) : stageLabel(entry.stage)}
                  <Box sx={{ fontSize: '0.88rem', color: 'text.secondary' }}>
                    {[
                      dayOf(entry.at),
                      entry.job && stageLabel(entry.stage),
                      entry.place && placeLabel(entry.place).toLowerCase(),
                      entry.by,
                    ]
                      .filter(Boolean)
                      .join(', ')}
                  </Box>
                </Box>
                <Button size="small" color="inherit" onClick={() => setOpen(entry)}>
                  Put right
                </Button>
              </Box>
            ))}
          </RuledList>
        </Disclosure>
      )}
      {open && (
        <TimeDialog
          key={open === 'new' ? open : open.id}
          bicycle={bicycle}
          send={send}
          entry={open === 'new' ? null : open}
          stage="overhaul"
          onClose={() => setOpen(null)}
        />
      )}
    </Box>
  );
}
