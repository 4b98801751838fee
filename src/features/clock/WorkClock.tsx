'use client';
import Button from '@mui/material/Button';
import { Clock, Hold } from '@/ui/toolIcons';
import dynamic from 'next/dynamic';
import { useState } from 'react';
import type { Stage } from '@/model/stages';
import { clockNow, workedMinutes } from '@/model/work/hours';
import { newId } from '@/store/browser';
import { nowIso } from '@/store/now';
import { hours } from '@/ui/format';
import { useHand } from '../workshop/useHand';
import { useNow } from '../workshop/useNow';
import type { StageProps } from '../workshop/WorkshopProvider';
import { useStageLabel } from '../workshop/declared';
import type { BenchClock } from './useBenchClock';

const ClockMenu = dynamic(() => import('./ClockMenu').then((module) => module.ClockMenu), { ssr: false });
const TimeDialog = dynamic(() => import('./TimeDialog').then((module) => module.TimeDialog), { ssr: false });
const IdleQuestion = dynamic(() => import('./IdleQuestion').then((module) => module.IdleQuestion), { ssr: false });

const CORRECTIONS = [-15, -5, 5, 15] as const;

/** The time put down so far, running while the bench is open; one tap opens the correction. */
export function WorkClock({ bicycle, send, stage, clock }: StageProps & { stage: Stage; clock: BenchClock }) {
  const stageLabel = useStageLabel();
  const now = useNow(10_000);
  const [anchor, setAnchor] = useState<HTMLElement | null>(null);
  const { clock: running } = bicycle;
  const extra = clockNow(bicycle, now.getTime());
  const paused = running?.pausedAt !== undefined;
  const { name: by } = useHand();
  const [putting, setPutting] = useState(false);
  const whole = workedMinutes(bicycle) + extra;
  const here = bicycle.minutes.filter((entry) => entry.stage === stage).reduce((sum, entry) => sum + entry.minutes, 0);
  function correct(more: number): void {
    if (more > 0) {
      send({
        type: 'putMinutes',
        entry: { id: newId(), stage, minutes: more, at: nowIso(), place: null, ...(by && { by }) },
      });
      return;
    }
    let left = -more;
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
        aria-label={`${hours(Math.floor(whole))} logged${running ? (paused ? ', the clock stands still' : ', the clock runs') : ''}: correct it`}
        aria-haspopup="menu"
        sx={{
          p: 0,
          // A figure that is corrected by a tap: it stands in its box as the others do.
          border: 0,
          textDecoration: 'underline dotted',
          textUnderlineOffset: 4,
          minWidth: 0,
          minHeight: 0,
          lineHeight: 1.45,
          fontSize: '1.05rem',
          fontWeight: 660,
          gap: 0.75,
          fontVariantNumeric: 'tabular-nums',
        }}
      >
        {running && (paused ? <Hold sx={{ fontSize: 18 }} /> : <Clock sx={{ fontSize: 18, color: 'primary.main' }} />)}
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
          paused={paused}
          onStop={clock.stop}
          onPause={clock.pause}
          onResume={clock.resume}
          onPutDown={() => setPutting(true)}
          onCorrect={correct}
        />
      )}
      {putting && (
        <TimeDialog bicycle={bicycle} send={send} entry={null} stage={stage} onClose={() => setPutting(false)} />
      )}
      {clock.idleSince && <IdleQuestion since={clock.idleSince} onAnswer={clock.answer} />}
    </>
  );
}
