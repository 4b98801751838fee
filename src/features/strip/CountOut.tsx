'use client';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { useState } from 'react';
import { ballsByWeight } from '@/core/bearings/ballsByWeight';
import { ballRowLabel, type Assembly } from '@/core/strip/tray';
import type { Bearing } from '@/model/bearings/part';
import { countsOf } from '@/model/bearings/questions';
import { scaleReading } from '@/sim/scale';
import { ReadingField } from '@/ui/ReadingField';
import { useWorkshopName, type StageProps } from '../workshop/WorkshopProvider';
import { BallCounter } from './BallCounter';

/** Counts one row of balls: a tap a ball, or all of them on the scale. */
export function CountOut({
  send,
  assembly,
  bearing,
  row,
  what,
}: Pick<StageProps, 'send'> & { assembly: Assembly; bearing: Bearing; row: string; what: 'out' | 'in' | 'holds' }) {
  const [weighing, setWeighing] = useState(false);
  const demo = useWorkshopName() === 'demo';
  const usual = assembly.balls.find((each) => each.id === row);
  const put = (count: number) =>
    send({ type: 'countBalls', place: bearing.place, side: row, changes: { [what]: count, answer: null } });
  const massRefused = (massG: number) => {
    if (!usual) return 'no size is known here: count them';
    const { count, sure } = ballsByWeight(massG, usual.diameterMm);
    if (count > 200) return 'more than any bearing holds';
    return sure ? null : `that is no whole number of ${usual.fractionIn} in balls: clean them, or count them`;
  };
  return (
    <Box sx={{ mt: 1, display: 'grid', gap: 1, justifyItems: 'start' }}>
      <BallCounter
        label={`${what}, ${ballRowLabel(row).toLowerCase()}`}
        count={countsOf(bearing, row)[what]}
        onCount={put}
      />
      {usual && (
        <Box sx={{ fontSize: '0.88rem', color: 'text.secondary' }}>
          Usual: {usual.usual === null ? 'as the cage holds' : usual.usual} of {usual.fractionIn} in
        </Box>
      )}
      {usual && !weighing && (
        <Button color="inherit" sx={{ minHeight: 56 }} onClick={() => setWeighing(true)}>
          Weigh them
        </Button>
      )}
      {usual && weighing && (
        <Box sx={{ display: 'flex', gap: 1.5, alignItems: 'start', flexWrap: 'wrap' }}>
          <ReadingField
            label={`All of ${usual.fractionIn} in, clean`}
            kind="number"
            unit="g"
            width={170}
            value={null}
            keepEmpty
            refuse={massRefused}
            onCommit={(massG) => put(ballsByWeight(massG, usual.diameterMm).count)}
          />
          {demo && (
            <Button
              variant="outlined"
              color="inherit"
              sx={{ minHeight: 56 }}
              onClick={() =>
                put(ballsByWeight(scaleReading(usual.usual ?? 9, usual.diameterMm), usual.diameterMm).count)
              }
            >
              Read the made-up scale: {scaleReading(usual.usual ?? 9, usual.diameterMm)} g
            </Button>
          )}
        </Box>
      )}
    </Box>
  );
}
