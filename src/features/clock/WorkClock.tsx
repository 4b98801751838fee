'use client';
import AccessTime from '@mui/icons-material/AccessTime';
import Button from '@mui/material/Button';
import { differenceInSeconds, parseISO } from 'date-fns';
import dynamic from 'next/dynamic';
import { useState } from 'react';
import type { Stage } from '@/model/stages';
import { workedMinutes } from '@/model/work/hours';
import { newId } from '@/store/browser';
import { nowIso } from '@/store/now';
import { hours } from '@/ui/format';
import { useNow } from '../workshop/useNow';
import type { StageProps } from '../workshop/WorkshopProvider';
import { useStageLabel } from '../workshop/declared';
import type { BenchClock } from './useBenchClock';

const ClockMenu = dynamic(() => import('./ClockMenu').then((module) => module.ClockMenu), { ssr: false });
const IdleQuestion = dynamic(() => import('./IdleQuestion').then((module) => module.IdleQuestion), { ssr: false });

const CORRECTIONS = [-15, -5, 5, 15] as const;

/** The time put down so far, running while the bench is open; one tap opens the correction. */
export function WorkClock({ bicycle, send, stage, clock }: StageProps & { stage: Stage; clock: BenchClock }) {
  const stageLabel = useStageLabel();
  const now = useNow(10_000);
  const [anchor, setAnchor] = useState<HTMLElement | null>(null);
  const { clock: running } = bicycle;
  const extra = running ? Math.max(0, differenceInSeconds(now, parseISO(running.startedAt)) / 60) : 0;
  const whole = workedMinutes(bicycle) + extra;
  const here = bicycle.minutes.filter((entry) => entry.stage === stage).reduce((sum, entry) => sum + entry.minutes, 0);
  function correct(by: number): void {
    if (by > 0) {
      send({
        type: 'putMinutes',
        entry: { id: newId(), stage, minutes: by, at: nowIso(), place: null },
      });
      return;
    }
    let left = -by;
    for (const entry of bicycle.minutes.filter((row) => row.stage === stage).reverse()) {
      if (left <= 0) return;
      if (entry.minutes <= left) send({ type: 'removeMinutes', entry: entry.id });
      else send({ type: 'putMinutes', entry: { ...entry, minutes: entry.minutes - left } });
      left -= entry.minutes;
    }
  }
  return (
    <>
      <Button
        color="inherit"
        onClick={(event) => setAnchor(event.currentTarget)}
        aria-label={`${hours(Math.floor(whole))} put down${running ? ', the clock runs' : ''}: correct it`}
        aria-haspopup="menu"
        sx={{
          p: 0,
          minWidth: 0,
          minHeight: 0,
          lineHeight: 1.45,
          fontSize: '1.05rem',
          fontWeight: 660,
          gap: 0.75,
          fontVariantNumeric: 'tabular-nums',
        }}
      >
        {running && <AccessTime sx={{ fontSize: 18, color: 'primary.main' }} />}
        {hours(Math.floor(whole))}
      </Button>
      {anchor && (
        <ClockMenu
          anchor={anchor}
          runMinutes={running ? extra : null}
          corrections={CORRECTIONS.filter((by) => by > 0 || here > 0)}
          stageLabel={stageLabel(stage)}
          onClose={() => setAnchor(null)}
          onStart={clock.start}
          onStop={clock.stop}
          onCorrect={correct}
        />
      )}
      {clock.idleSince && <IdleQuestion since={clock.idleSince} onAnswer={clock.answer} />}
    </>
  );
}
