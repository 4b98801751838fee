'use client';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { useState } from 'react';
import type { BearingBench } from '@/core/bearings/benchTypes';
import { axleOf } from '@/model/bearings/questions';
import type { Bearing } from '@/model/bearings/part';
import { newId } from '@/store/browser';
import { Choices } from '@/ui/Choices';
import { Disclosure } from '@/ui/Disclosure';
import { useKeys } from '@/ui/keys/useKeys';
import { ReadingField } from '@/ui/ReadingField';
import { BigNumber } from '@/ui/Section';
import { StateMark } from '@/ui/StateMark';
import { Working } from '@/ui/Working';
import { useSettings, type StageProps } from '../workshop/WorkshopProvider';
import { ConeDial } from './ConeDial';
import { Inside } from './Inside';
import { PlayThere } from './PlayThere';
import { SkewerAllowance } from './SkewerAllowance';
import type { Setting } from '../at-hand/useSetting';

const FEELS = [
  { id: 'loose', label: 'Loose', words: 'knocks', letter: 'L' },
  { id: 'tick', label: 'A tick', words: 'faint play', letter: 'T' },
  { id: 'smooth', label: 'Smooth', words: 'no play', letter: 'O' },
  { id: 'tight', label: 'Tight', words: 'drags', letter: 'H' },
] as const;
type Feel = (typeof FEELS)[number]['id'];
const MOST_TRIALS = 60;
/** What is offered where nothing is advised. */
const USUAL_TURN_DEG = 15;

/** The trials so far, the last of which can be taken back. */
function Trials({ send, bearing, squeezed }: Pick<StageProps, 'send'> & { bearing: Bearing; squeezed: boolean }) {
  return (
    <Box component="ol" aria-label="Trials so far" sx={{ p: 0, m: 0, mt: 2, listStyle: 'none', fontSize: '0.95rem' }}>
      {bearing.trials.map((trial, i) => (
        <Box
          key={trial.id}
          component="li"
          sx={{
            display: 'grid',
            gridTemplateColumns: '28px minmax(0, 1fr) auto',
            gap: 1,
            alignItems: 'center',
            borderTop: '1px solid',
            borderColor: 'divider',
            minHeight: 44,
          }}
        >
          <Box sx={{ color: 'text.secondary' }}>{i + 1}</Box>
          <Box>
            {trial.turnDeg === 0
              ? 'not turned'
              : `${trial.turnDeg < 0 ? 'opened' : 'tightened'} ${Math.abs(trial.turnDeg)}°`}
            , {squeezed ? `skewer ${trial.clamped ? 'closed' : 'open'}, ` : ''}
            <b>{trial.feel}</b>
          </Box>
          {i === bearing.trials.length - 1 && (
            <Button
              size="small"
              color="inherit"
              onClick={() => send({ type: 'withdrawTrial', place: bearing.place, trial: trial.id })}
            >
              Undo
            </Button>
          )}
        </Box>
      ))}
    </Box>
  );
}

/** The turn that is advised, on its dial and in words, with its reasons. */
function Advised({
  advice,
  pending,
  bearing,
  bench,
}: {
  advice: NonNullable<Setting['advice']>;
  pending: boolean;
  bearing: Bearing;
  bench: BearingBench;
}) {
  const first = bearing.trials.length === 0;
  const next = advice.next ?? null;
  return (
    <Box
      aria-busy={pending}
      sx={{
        display: 'grid',
        gridTemplateColumns: { xs: '1fr', sm: '230px minmax(0, 1fr)' },
        gap: 3,
        alignItems: 'center',
        opacity: pending ? 0.6 : 1,
      }}
    >
      <ConeDial
        toIdealDeg={advice.estimate.toIdealDeg}
        sdDeg={advice.estimate.sdDeg}
        turnDeg={next?.turnDeg ?? 0}
        lastTurnDeg={bearing.trials.at(-1)?.turnDeg ?? null}
        tipTravelMm={next?.tipTravelMm ?? 0}
        smoothDeg={bench.setting?.bands.smoothDeg ?? 12}
        done={advice.done}
        known={!first}
      />
      <Box aria-live="polite">
        {advice.done ? (
          <Box sx={{ fontSize: '1.5rem', fontWeight: 660 }}>
            <StateMark state="fine" size={28} /> Done in {bearing.trials.length}
          </Box>
        ) : (
          next && (
            <>
              {next.turnDeg !== 0 && (
                <BigNumber
                  value={`${next.turnDeg > 0 ? 'Tighten' : 'Loosen'} ${Math.round(next.tipTravelMm)} mm`}
                  label={`at the tip of a ${bench.setting?.toolMm ?? 150} mm ${bench.setting?.tool ?? 'spanner'}`}
                />
              )}
              <Box sx={{ fontSize: '1.15rem', fontWeight: 600, lineHeight: 1.35, mt: 1 }}>
                {first
                  ? 'Run it down until it resists, back off a little, lock it, and say how it feels. Or start with this turn.'
                  : next.then}
              </Box>
              {next.turnDeg !== 0 && (
                <Box sx={{ fontSize: '0.9rem', color: 'text.secondary', mt: 0.5 }}>
                  {Math.abs(next.turnDeg)}° · {next.travelMm.toFixed(3)} mm of thread
                </Box>
              )}
            </>
          )
        )}
        {advice.reasons.map((reason) => (
          <Typography key={reason} sx={{ color: 'text.secondary', mt: 0.5 }}>
            {reason}
          </Typography>
        ))}
      </Box>
    </Box>
  );
}

/** Four words for what the fingers say; each has a key. */
function HowItFeels({ ready, letters, onFeel }: { ready: boolean; letters: boolean; onFeel(feel: Feel): void }) {
  return (
    <Box
      role="group"
      aria-label="How does it feel?"
      sx={{ display: 'grid', gridTemplateColumns: { xs: '1fr 1fr', sm: 'repeat(4, 1fr)' }, gap: 1, mt: 2 }}
    >
      {FEELS.map(({ id, label, words, letter }) => (
        <Button
          key={id}
          variant="outlined"
          disabled={!ready}
          onClick={() => onFeel(id)}
          sx={{ minHeight: 72, flexDirection: 'column', fontSize: '1.15rem' }}
        >
          {label}
          <Box component="span" sx={{ fontSize: '0.82rem', fontWeight: 400, color: 'text.secondary' }}>
            {words}
            {letters && (
              <Box component="span" aria-hidden sx={{ display: { xs: 'none', md: 'inline' } }}>
                {' '}
                · {letter}
              </Box>
            )}
          </Box>
        </Button>
      ))}
    </Box>
  );
}

/** By how much it was turned, and with the skewer open or closed. */
function Turned({
  turnDeg,
  usualDeg,
  saysTurn,
  clamped,
  onTurned,
  onClamped,
}: {
  turnDeg: number;
  /** What another way is taken to be, until it is said. */
  usualDeg: number;
  /** Whether the turn is known; until then none is chosen for the hand. */
  saysTurn: boolean;
  /** Null while nothing is chosen; left out where nothing is squeezed. */
  clamped: boolean | null | undefined;
  onTurned(turnDeg: number): void;
  onClamped(clamped: boolean): void;
}) {
  return (
    <Box sx={{ mt: 2, display: 'flex', gap: 2, flexWrap: 'wrap', alignItems: 'end' }}>
      <Box data-readings sx={{ display: 'flex', gap: 1, alignItems: 'end', flexWrap: 'wrap' }}>
        <Choices
          label="Turned"
          options={
            [
              { id: 'open', label: 'Opened' },
              { id: 'none', label: 'Not turned' },
              { id: 'tight', label: 'Tightened' },
            ] as const
          }
          value={!saysTurn ? null : turnDeg < 0 ? 'open' : turnDeg > 0 ? 'tight' : 'none'}
          onChoose={(id) =>
            onTurned(
              id === 'none'
                ? 0
                : (id === 'open' ? -1 : 1) * (Math.abs(turnDeg) || Math.abs(usualDeg) || USUAL_TURN_DEG),
            )
          }
        />
        <ReadingField
          label="by, degrees"
          kind="number"
          unit="°"
          value={Math.abs(turnDeg)}
          width={130}
          onCommit={(size) => onTurned((turnDeg < 0 ? -1 : 1) * size)}
          refuse={(v) => (v > 720 ? 'two rounds at most' : null)}
        />
      </Box>
      {clamped !== undefined && (
        <Choices
          label="Felt with the skewer"
          options={
            [
              { id: 'open', label: 'Open' },
              { id: 'closed', label: 'Closed, as ridden' },
            ] as const
          }
          value={clamped === null ? null : clamped ? 'closed' : 'open'}
          onChoose={(id) => onClamped(id === 'closed')}
        />
      )}
    </Box>
  );
}

/** What stands behind the advice: play, the skewer, the load inside, the drag of this bench. */
function MoreOfSetting({
  send,
  bearing,
  bench,
  setting: { advice, drag, allowance },
}: Pick<StageProps, 'send'> & { bearing: Bearing; bench: BearingBench; setting: Setting }) {
  const axle = axleOf(bearing, bench);
  return (
    <>
      <Disclosure summary={<>Play where it is felt, as play at the bearing</>} wide>
        <PlayThere bench={bench} pitchMm={axle?.pitchMm ?? bench.setting?.pitchMm ?? 1} />
      </Disclosure>
      {axle && (
        <Disclosure
          summary={
            <>
              What the skewer squeezes
              {allowance ? `: ${Math.round(allowance.coneTurnDeg)}° of cone` : ''}
            </>
          }
          wide
        >
          <Box sx={{ pt: 1 }}>
            <SkewerAllowance send={send} bearing={bearing} axle={axle} allowance={allowance} />
          </Box>
        </Disclosure>
      )}
      {bench.rows.length > 0 && (
        <Disclosure summary={<>What a bit tighter does inside</>} wide>
          <Inside bearing={bearing} bench={bench} advice={advice} known={bearing.trials.length > 0} />
        </Disclosure>
      )}
      {drag && (
        <Disclosure
          summary={
            <>
              Drag of this bench: {Math.round(drag.lockShift.meanDeg)}°{drag.turns > 0 ? ', learnt' : ', the usual'}
            </>
          }
          wide
        >
          {drag.reasons.map((reason) => (
            <Typography key={reason}>{reason}</Typography>
          ))}
          <Working rows={drag.working} />
        </Disclosure>
      )}
    </>
  );
}

/** What is set, trial by trial: an advised turn, a feel, the next. */
export function ConeBench({
  send,
  bearing,
  bench,
  setting,
}: Pick<StageProps, 'send'> & { bearing: Bearing; bench: BearingBench; setting: Setting }) {
  const settings = useSettings();
  const { advice, allowanceDeg, pending, errors } = setting;
  const [turned, setTurned] = useState<number | null>(null);
  const [clamped, setClamped] = useState<boolean | null>(null);
  const first = bearing.trials.length === 0;
  // Until the advice is there nothing is chosen for the hand, so that what it chooses meanwhile counts and stays.
  const advised = first || (advice !== null && !pending);
  const turnDeg = turned ?? (first ? 0 : (advice?.next?.turnDeg ?? 0));
  const feltClamped = clamped ?? (first ? false : (advice?.next?.feelClamped ?? false));
  const full = bearing.trials.length >= MOST_TRIALS;
  const squeezed = allowanceDeg > 0;
  const ready = !full && advice !== null && !pending;

  const feel = (id: Feel) => {
    if (!ready) return;
    send({
      type: 'addTrial',
      place: bearing.place,
      trial: { id: newId(), turnDeg, feel: id, clamped: squeezed && feltClamped },
    });
    setTurned(null);
    setClamped(null);
  };
  useKeys(
    ['bearing'],
    {
      'feel-loose': () => feel('loose'),
      'feel-tick': () => feel('tick'),
      'feel-smooth': () => feel('smooth'),
      'feel-tight': () => feel('tight'),
    },
    settings.letterKeys,
  );
  const next = advice?.next ?? null;

  return (
    <>
      <Box sx={{ mb: 1.5, color: 'text.secondary' }}>
        {bearing.trials.length === 1 ? '1 trial' : `${bearing.trials.length} trials`} · house rule:{' '}
        {settings.school === 'from-tight' ? 'from tight' : 'from loose'}. {bench.felt.how.charAt(0).toUpperCase()}
        {bench.felt.how.slice(1)}.
      </Box>
      {errors.map((error) => (
        <Typography key={error.path} role="alert" color="error">
          {error.message}
        </Typography>
      ))}
      {advice && <Advised advice={advice} pending={pending} bearing={bearing} bench={bench} />}
      <HowItFeels ready={ready} letters={settings.letterKeys} onFeel={feel} />
      <Turned
        turnDeg={turnDeg}
        usualDeg={next?.turnDeg ?? USUAL_TURN_DEG}
        saysTurn={turned !== null || advised}
        clamped={!squeezed ? undefined : clamped === null && !advised ? null : feltClamped}
        onTurned={setTurned}
        onClamped={setClamped}
      />
      {full && (
        <Typography role="status">
          Sixty trials are enough for one bearing: take some back, or look for a pitted track.
        </Typography>
      )}
      {!first && <Trials send={send} bearing={bearing} squeezed={squeezed} />}
      {advice && <Working rows={advice.working} />}
      <MoreOfSetting send={send} bearing={bearing} bench={bench} setting={setting} />
    </>
  );
}
