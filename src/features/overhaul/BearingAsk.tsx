'use client';
import Box from '@mui/material/Box';
import type { BearingBench } from '@/core/bearings/benchTypes';
import { trayFor } from '@/model/selectors';
import type { StageProps } from '../workshop/WorkshopProvider';
import { Balls } from './Balls';
import { BearingNote } from './BearingNote';
import { ConeBench } from './ConeBench';
import { Look } from './Look';
import { RoundFeel } from './RoundFeel';
import { useSetting } from './useSetting';

/** What a step of an overhaul asks for, on the bench: a feel, a look, counts, the next turn. Nothing where the hands do it all. */
export function BearingAsk({ bicycle, send, bench, step }: StageProps & { bench: BearingBench; step: string }) {
  const tray = trayFor(bicycle, bench.place);
  const setting = useSetting(bicycle, tray, bench);
  const does = bench.steps.find((each) => each.id === step)?.does;
  return (
    <Box sx={{ maxWidth: 820 }}>
      {does === 'feel' && <BearingNote send={send} tray={tray} when={step === 'after' ? 'after' : 'before'} />}
      {does === 'look' && <Look bicycle={bicycle} send={send} tray={tray} bench={bench} />}
      {(does === 'measure' || does === 'count') && bench.rows.length > 0 && (
        <Balls send={send} tray={tray} bench={bench} />
      )}
      {(does === 'adjust' || does === 'lock') && bench.setting && (
        <ConeBench send={send} tray={tray} bench={bench} setting={setting} />
      )}
      {does === 'recheck' && <RoundFeel send={send} tray={tray} />}
    </Box>
  );
}
