'use client';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import type { BearingBench } from '@/core/bearings/benchTypes';
import { checkAlike, checkCounts } from '@/core/bearings/counts';
import { ballOrder } from '@/core/bearings/orders';
import { ballHint } from '@/core/bearings/plausible';
import { ballRowLabel } from '@/core/strip/tray';
import { stateOf } from '@/core/vocabulary/verdicts';
import { ballsNeeded, countsOf } from '@/model/bearings/questions';
import type { Bearing } from '@/model/bearings/part';
import { ballsInDrawer } from '@/model/stock/drawer';
import { newId } from '@/store/browser';
import { Choices } from '@/ui/Choices';
import { ReadingField } from '@/ui/ReadingField';
import { BigNumber } from '@/ui/Section';
import { StateMark } from '@/ui/StateMark';
import { Working } from '@/ui/Working';
import { useReckon } from '../workshop/useReckon';
import { useSettings, useWorkshopState, type StageProps } from '../workshop/WorkshopProvider';
import { CountQuestion } from '../strip/CountQuestion';
import { BallSide } from './BallSide';

const IN = ['in'] as const;
const HOLDS = ['holds'] as const;
const OUT_AND_HOLDS = ['out', 'holds'] as const;

/** What to order, with what the drawer holds and what is left of a bag. */
function BallOrder({
  send,
  place,
  fractionIn,
  packSize,
  needed,
}: Pick<StageProps, 'send'> & { place: string; fractionIn: string; packSize: number; needed: number }) {
  const stock = useWorkshopState((state) => state.stock);
  const inDrawer = ballsInDrawer(fractionIn, stock);
  const { packs, left } = ballOrder(needed, packSize, inDrawer);
  const label = `Balls ${fractionIn} in, ${packs === 1 ? 'one bag' : `${packs} bags`} of ${packSize}`;
  return (
    <Box sx={{ mt: 2, display: 'flex', gap: 3, flexWrap: 'wrap', alignItems: 'end' }}>
      <BigNumber value={needed} label={`new balls of ${fractionIn} in`} />
      <Box sx={{ flex: 1, minWidth: 220 }}>
        {packs === 0
          ? `The drawer holds ${inDrawer} of one lot: ${left} stay for stock.`
          : `${packs === 1 ? 'One bag' : `${packs} bags`} of ${packSize}: ${left} stay for stock.${inDrawer > 0 ? ` The ${inDrawer} in the drawer are too few for one lot.` : ''}`}
      </Box>
      {packs > 0 && (
        <Button
          variant="outlined"
          color="inherit"
          onClick={() =>
            send({ type: 'putDelivery', delivery: { id: newId(), label, dueOn: null, arrivedAt: null, place } })
          }
        >
          Ordered
        </Button>
      )}
    </Box>
  );
}

/** Balls: which they are, whether they go back, how many belong, how many are in. */
export function Balls({
  send,
  bearing,
  bench,
  atStep = false,
}: Pick<StageProps, 'send'> & {
  bearing: Bearing;
  bench: BearingBench;
  /** At the step that measures: what was counted before is told, what goes in is asked later. */ atStep?: boolean;
}) {
  const settings = useSettings();
  const readings = bearing.ballReadingsMm;
  const { output: ball, errors } = useReckon(
    'bearings.identifyBall',
    readings.length ? { readingsMm: readings, instrument: bearing.instrument } : null,
  );
  const diameter = ball?.nominal?.diameterMm ?? null;
  const holds = useReckon(
    'bearings.ballCount',
    diameter !== null && bearing.overBallsMm !== null
      ? { overBallsMm: bearing.overBallsMm, ballDiameterMm: diameter }
      : null,
  );
  const note = (changes: Partial<Pick<Bearing, 'ballReadingsMm' | 'instrument' | 'overBallsMm' | 'ballsWere'>>) =>
    send({ type: 'measureBearing', place: bearing.place, changes });
  const usual = [...new Set(bench.rows.map((row) => row.fractionIn))];
  return (
    <>
      <Typography sx={{ color: 'text.secondary', mb: 1 }}>
        Usual here: {usual.join(' and ')} in{bench.rows.some((row) => row.caged) ? ', in retainers' : ''}. Count and
        measure.
      </Typography>
      <Box sx={{ display: 'flex', gap: 2, flexWrap: 'wrap', alignItems: 'start' }}>
        <ReadingField
          label="One ball"
          kind="length"
          unit="mm"
          large
          keepEmpty
          value={null}
          width={180}
          help="Enter after each; three will do"
          earlier={readings}
          onCommit={(value) => note({ ballReadingsMm: [...readings, value].slice(-50) })}
          refuse={ballHint}
        />
        <Box
          component="ul"
          aria-label="Ball readings"
          sx={{ display: 'flex', gap: 1, p: 0, m: 0, listStyle: 'none', flexWrap: 'wrap', maxWidth: 300 }}
        >
          {readings.map((value, i) => (
            <li key={i}>
              <Button
                size="small"
                variant="outlined"
                color="inherit"
                aria-label={`Take back the reading ${value} mm`}
                onClick={() => note({ ballReadingsMm: readings.filter((_, at) => at !== i) })}
              >
                {Math.round(value * 1e4) / 1e4} ×
              </Button>
            </li>
          ))}
        </Box>
        <Choices
          label="Measured with"
          options={
            [
              { id: 'caliper', label: 'Caliper' },
              { id: 'micrometer', label: 'Micrometer' },
            ] as const
          }
          value={bearing.instrument}
          onChoose={(instrument) => note({ instrument })}
        />
      </Box>
      {errors.map((error) => (
        <Typography key={error.path} role="alert" color="error">
          {error.message}
        </Typography>
      ))}
      {ball && (
        <Box aria-live="polite" sx={{ mt: 1.5 }}>
          <Box sx={{ display: 'flex', gap: 4, flexWrap: 'wrap', alignItems: 'end' }}>
            <BigNumber
              value={ball.nominal ? `${ball.nominal.fractionIn} in` : 'No size'}
              label={ball.nominal ? `${ball.nominal.diameterMm} mm nominal` : 'of the table'}
            />
            <Box sx={{ fontSize: '1.15rem', pb: 0.5 }}>
              <StateMark state={stateOf('bearings.identifyBall', ball.verdict)} word={false} />{' '}
              <b>{ball.verdict.replace('-', ' ')}</b>
            </Box>
          </Box>
          {ball.reasons.map((reason) => (
            <Typography key={reason}>{reason}</Typography>
          ))}
          <Working rows={ball.working} />
        </Box>
      )}
      <Box sx={{ mt: 2, display: 'flex', gap: 3, flexWrap: 'wrap', alignItems: 'end' }}>
        <Choices
          label={`Reuse the balls? House rule: ${settings.rules.reuseBalls === 'never' ? 'always new ones' : 'again if bright'}`}
          options={
            [
              { id: 'renewed', label: 'New ones' },
              { id: 'reused', label: 'The same again' },
            ] as const
          }
          value={bearing.ballsWere}
          onChoose={(ballsWere) => note({ ballsWere })}
        />
      </Box>
      {bearing.ballsWere === 'renewed' &&
        ballsNeeded(
          bearing,
          bench,
          ball?.nominal && ball.usualPack !== null
            ? { fractionIn: ball.nominal.fractionIn, usualPack: ball.usualPack }
            : null,
        ).map(({ fractionIn, usualPack, needed }) => (
          <BallOrder
            place={bench.place}
            key={fractionIn}
            send={send}
            fractionIn={fractionIn}
            packSize={usualPack}
            needed={needed}
          />
        ))}
      <Box sx={{ mt: 2, display: 'flex', gap: 3, flexWrap: 'wrap', alignItems: 'start' }}>
        <ReadingField
          label="Over two opposite balls in the cup"
          kind="length"
          unit="mm"
          value={bearing.overBallsMm}
          width={270}
          onCommit={(overBallsMm) => note({ overBallsMm })}
          onClear={() => note({ overBallsMm: null })}
          error={holds.errors[0]?.message}
          help={diameter === null ? 'Measure a ball first' : 'From outside to outside'}
        />
        {holds.output && (
          <Box>
            <BigNumber
              value={holds.output.use}
              label={`fill the cup, ${holds.output.gapMm.toFixed(1)} mm of room left`}
            />
            <Working rows={holds.output.working} />
          </Box>
        )}
      </Box>
      <Box sx={{ display: 'grid', gap: 3, mt: 3 }}>
        {bench.rows.map(({ id, caged }) => (
          <BallSide
            key={id}
            side={id}
            caged={caged}
            {...(atStep && { asks: countsOf(bearing, id).out === null ? OUT_AND_HOLDS : HOLDS })}
            counts={countsOf(bearing, id)}
            onChange={(changes) => send({ type: 'countBalls', place: bearing.place, side: id, changes })}
          />
        ))}
      </Box>
      <Alike send={send} bearing={bearing} bench={bench} />
      <Typography variant="body2" sx={{ color: 'text.secondary', mt: 2, maxWidth: '62ch' }}>
        What can be trusted: what came out, what the cup holds when it is filled, what went in. Never force the last
        ball; never mix new with old.
      </Typography>
    </>
  );
}

/** The balls as they go in, a row at a time: how many belong, how many went in. */
export function CountIn({
  send,
  bearing,
  bench,
}: Pick<StageProps, 'send'> & { bearing: Bearing; bench: BearingBench }) {
  return (
    <Box sx={{ display: 'grid', gap: 3 }}>
      {bench.rows.map(({ id, caged }) => (
        <BallSide
          key={id}
          side={id}
          caged={caged}
          asks={IN}
          counts={countsOf(bearing, id)}
          onChange={(changes) => send({ type: 'countBalls', place: bearing.place, side: id, changes })}
        />
      ))}
    </Box>
  );
}

/** Rows that should be alike and are not. */
function Alike({ send, bearing, bench }: Pick<StageProps, 'send'> & { bearing: Bearing; bench: BearingBench }) {
  const [first] = bench.rows;
  // One question at a time: a row that does not agree with itself is asked about first.
  if (!first || bench.rows.some((row) => checkCounts(countsOf(bearing, row.id), row.caged).question)) return null;
  return (
    <CountQuestion
      check={checkAlike(
        bench.rows.map((row) => ({ ...row, label: ballRowLabel(row.id), counts: countsOf(bearing, row.id) })),
      )}
      answer={bench.rows.map((row) => countsOf(bearing, row.id).answer).find((each) => each !== null) ?? null}
      onAnswer={(answer) => send({ type: 'countBalls', place: bearing.place, side: first.id, changes: { answer } })}
    />
  );
}
