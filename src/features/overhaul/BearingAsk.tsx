'use client';
import Box from '@mui/material/Box';
import type { BearingBench } from '@/core/bearings/benchTypes';
import { knownBearing } from '@/model/bearings/bearingFor';
import type { StageProps } from '../workshop/WorkshopProvider';
import { useFindings } from '../workshop/useFindings';
import { BearingPart } from './BearingPart';
import { partOf } from './parts';
import { useSetting } from '../at-hand/useSetting';

/** What a step of an overhaul asks for, on the bench: a feel, a look, counts, the next turn. Nothing where the hands do it all. */
export function BearingAsk({ bicycle, send, bench, step }: StageProps & { bench: BearingBench; step: string }) {
  const bearing = knownBearing(bicycle, bench.place, useFindings(bicycle));
  const setting = useSetting(bicycle, bearing, bench);
  const here = bench.steps.find((each) => each.id === step);
  const part = here ? partOf(here, bench) : null;
  return (
    <Box sx={{ maxWidth: 820 }}>
      {part && (
        <BearingPart
          atStep
          part={part}
          bicycle={bicycle}
          send={send}
          bearing={bearing}
          bench={bench}
          setting={setting}
        />
      )}
    </Box>
  );
}
