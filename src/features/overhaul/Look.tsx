'use client';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import type { BearingBench } from '@/core/bearings/benchTypes';
import { ballRowLabel } from '@/core/strip/tray';
import { stateOf } from '@/core/vocabulary/verdicts';
import { gradeInput, wasLookedAt } from '@/model/bearings/questions';
import type { Bearing } from '@/model/bearings/part';
import { Choices } from '@/ui/Choices';
import { VerdictBlock } from '@/ui/VerdictBlock';
import { useReckon } from '../workshop/useReckon';
import { useSettings, type StageProps } from '../workshop/WorkshopProvider';
import { known, VERDICT_WORDS } from './words';

const GREASE = [
  { id: 'fresh', label: 'Fresh' },
  { id: 'dirty', label: 'Dirty' },
  { id: 'dry', label: 'Dry' },
  { id: 'rusty', label: 'Rusty' },
] as const;
const TRACK = [
  { id: 'bright', label: 'Bright' },
  { id: 'dull', label: 'Dull' },
  { id: 'pitted', label: 'Pitted' },
] as const;
const BALLS = [
  { id: 'bright', label: 'Bright' },
  { id: 'dull', label: 'Dull' },
  { id: 'rusty', label: 'Rusty' },
  { id: 'short', label: 'Too few' },
] as const;
const SEAL = [
  { id: 'sound', label: 'Sound' },
  { id: 'torn', label: 'Torn' },
] as const;

/** Each track by its row, so that the drawing can show which one is pitted. */
function Tracks({ send, bearing, bench }: Pick<StageProps, 'send'> & { bearing: Bearing; bench: BearingBench }) {
  return (
    <Box sx={{ gridColumn: '1 / -1', display: 'grid', gap: 1.5 }}>
      {bench.rows.map(({ id }) => (
        <Box key={id} sx={{ display: 'flex', columnGap: 3, rowGap: 1.5, flexWrap: 'wrap', alignItems: 'end' }}>
          {(['cup', 'cone'] as const).map((part) => (
            <Choices
              key={part}
              label={`${bench.tracks[part]}, ${ballRowLabel(id).toLowerCase()}`}
              options={TRACK}
              value={bearing.tracks[`${id}.${part}`] ?? known(bearing.seen[part])}
              onChoose={(state) => send({ type: 'seeTrack', place: bearing.place, track: `${id}.${part}`, state })}
            />
          ))}
        </Box>
      ))}
    </Box>
  );
}

/** What was seen inside, and what follows from it by the house rule. */
export function Look({ bicycle, send, bearing, bench }: StageProps & { bearing: Bearing; bench: BearingBench }) {
  const settings = useSettings();
  const see = (changes: Partial<Bearing['seen']>) => send({ type: 'seeInside', place: bearing.place, changes });
  const { output: grade } = useReckon('bearings.grade', gradeInput(bicycle, bearing, bench, settings));
  const felt = bearing.before !== null && (bearing.before.feel !== 'unknown' || bearing.before.play !== 'unknown');
  const opened = bench.kind === 'cup-and-cone';
  return (
    <>
      <Box sx={{ display: 'grid', gridTemplateColumns: { xs: '1fr', sm: '1fr 1fr' }, gap: { xs: 1.5, sm: 2 } }}>
        <Choices
          label={opened ? 'Grease it came with' : 'Grease under the seal'}
          options={GREASE}
          value={known(bearing.seen.grease)}
          onChoose={(grease) => see({ grease })}
        />
        <Choices
          label="Balls"
          options={opened ? BALLS : BALLS.slice(0, 3)}
          value={known(bearing.seen.balls)}
          onChoose={(balls) => see({ balls })}
        />
        {opened ? (
          <Tracks send={send} bearing={bearing} bench={bench} />
        ) : (
          <Choices label="Seal" options={SEAL} value={known(bearing.seen.seal)} onChoose={(seal) => see({ seal })} />
        )}
      </Box>
      {grade && (felt || wasLookedAt(bearing)) && (
        <VerdictBlock
          state={stateOf('bearings.grade', grade.verdict)}
          words={VERDICT_WORDS[grade.verdict]}
          reasons={grade.reasons}
          working={grade.working}
        >
          {grade.needs.length > 0 && (
            <Typography sx={{ color: 'text.secondary' }}>Needs: {grade.needs.join(', ')}.</Typography>
          )}
          {grade.verdict === 'renew-unit' && bench.kind === 'cup-and-cone' && !bearing.runOn && (
            <Button
              variant="outlined"
              color="inherit"
              sx={{ mt: 1, minHeight: 48 }}
              onClick={() => send({ type: 'measureBearing', place: bearing.place, changes: { runOn: true } })}
            >
              No spare to be had: run it on
            </Button>
          )}
          {grade.verdict === 'run-on' && !bearing.runOn && (
            <Button
              variant="outlined"
              color="inherit"
              sx={{ mt: 1, minHeight: 48 }}
              onClick={() => send({ type: 'measureBearing', place: bearing.place, changes: { runOn: true } })}
            >
              Run it on, and say so on the sheet
            </Button>
          )}
          {bearing.runOn && (
            <Box sx={{ mt: 1 }}>
              It runs on: new balls, set at the tightest spot, said on the sheet, looked at sooner.{' '}
              <Button
                size="small"
                color="inherit"
                onClick={() => send({ type: 'measureBearing', place: bearing.place, changes: { runOn: false } })}
              >
                Not so
              </Button>
            </Box>
          )}
        </VerdictBlock>
      )}
    </>
  );
}
