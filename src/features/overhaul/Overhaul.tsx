'use client';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import type { BallCount } from '@/core/bearings/ballCount';
import type { Grade } from '@/core/bearings/grade';
import type { IdentifiedBall } from '@/core/bearings/identifyBall';
import { ballHint } from '@/core/bearings/plausible';
import { stateOf } from '@/core/vocabulary/vocabulary';
import type { Tray } from '@/model/record';
import { beforeFromLookOver, countsOf, trayFor } from '@/model/selectors';
import { Choices } from '@/ui/Choices';
import { ReadingField } from '@/ui/ReadingField';
import { BigNumber, Section } from '@/ui/Section';
import { StateMark } from '@/ui/StateMark';
import { BeforeAfter } from '@/ui/BeforeAfter';
import { VerdictBlock } from '@/ui/VerdictBlock';
import { Working } from '@/ui/Working';
import { FEELS, PLAYS } from '../look-over/EvidenceFields';
import { useTrays } from '../strip/useTrays';
import { useReckon } from '../workshop/useReckon';
import { useSettings, type StageProps } from '../workshop/WorkshopProvider';
import { BallSide } from './BallSide';
import { ConeBench } from './ConeBench';

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
const VERDICT_WORDS: Record<Grade['verdict'], string> = {
  leave: 'Leave it',
  adjust: 'Adjust it',
  repack: 'Clean and grease it again',
  'renew-balls': 'New balls',
  'renew-cone': 'New cone and balls',
  'renew-cartridge': 'New cartridge',
  'renew-unit': 'New unit',
  'run-on': 'Run on, set at the tightest spot',
  'look-inside': 'Look inside',
};

function known<T extends string>(value: T): Exclude<T, 'unknown'> | null {
  return value === 'unknown' ? null : (value as Exclude<T, 'unknown'>);
}

function BearingNote({ send, tray, when }: Pick<StageProps, 'send'> & { tray: Tray; when: 'before' | 'after' }) {
  const noted = tray[when];
  const note = (changes: Partial<NonNullable<Tray['before']>>) =>
    send({ type: 'noteBearing', place: tray.place, when, changes });
  return (
    <Box sx={{ display: 'grid', gap: 1.5 }}>
      <Choices
        label="Feel"
        options={FEELS}
        value={noted ? known(noted.feel) : null}
        onChoose={(feel) => note({ feel })}
      />
      <Box sx={{ display: 'flex', gap: 3, flexWrap: 'wrap', alignItems: 'end' }}>
        <Choices
          label="Play"
          options={PLAYS}
          value={noted ? known(noted.play) : null}
          onChoose={(play) => note({ play })}
        />
        <ReadingField
          label="Spins by hand for"
          kind="number"
          unit="s"
          width={160}
          value={noted?.spinS ?? null}
          onCommit={(spinS) => note({ spinS })}
          onClear={() => note({ spinS: null })}
          refuse={(s) => (s > 600 ? 'ten minutes at most' : null)}
        />
      </Box>
    </Box>
  );
}

function Balls({ bicycle, send, tray }: StageProps & { tray: Tray }) {
  const usual = useTrays(bicycle)?.trays.find((each) => each.place === tray.place)?.balls[0]?.fractionIn;
  const readings = tray.ballReadingsMm;
  const { output: ball, errors } = useReckon<IdentifiedBall>(
    'bearings.identifyBall',
    readings.length ? { readingsMm: readings, instrument: tray.instrument } : null,
  );
  const diameter = ball?.nominal?.diameterMm ?? null;
  const holds = useReckon<BallCount>(
    'bearings.ballCount',
    diameter !== null && tray.overBallsMm !== null ? { overBallsMm: tray.overBallsMm, ballDiameterMm: diameter } : null,
  );
  const note = (changes: Partial<Pick<Tray, 'ballReadingsMm' | 'instrument' | 'overBallsMm'>>) =>
    send({ type: 'noteTray', place: tray.place, changes });
  return (
    <Section title="Balls" aside={usual ? `usual here: ${usual} in; count and measure` : 'count and measure'}>
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
          value={tray.instrument}
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
      <Box sx={{ mt: 2, display: 'flex', gap: 3, flexWrap: 'wrap', alignItems: 'start' }}>
        <ReadingField
          label="Over two opposite balls in the cup"
          kind="length"
          unit="mm"
          value={tray.overBallsMm}
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
        {(['left', 'right'] as const).map((side) => (
          <BallSide
            key={side}
            side={side}
            counts={countsOf(tray, side)}
            onChange={(changes) => send({ type: 'countBalls', place: tray.place, side, changes })}
          />
        ))}
      </Box>
      <Typography variant="body2" sx={{ color: 'text.secondary', mt: 2, maxWidth: '62ch' }}>
        What can be trusted: what came out, what the cup holds when it is filled, what went in. Never force the last
        ball; never mix new with old.
      </Typography>
    </Section>
  );
}

function Look({ bicycle, send, tray }: StageProps & { tray: Tray }) {
  const settings = useSettings();
  const see = (changes: Partial<Tray['seen']>) => send({ type: 'seeTray', place: tray.place, changes });
  const { feel, play } = tray.before ?? { feel: 'unknown', play: 'unknown' };
  const { output: grade } = useReckon<Grade>('bearings.grade', {
    kind: 'cup-and-cone',
    place: tray.place,
    feel,
    play,
    ...tray.seen,
    brief: bicycle.brief,
    rules: settings.rules,
  });
  const looked = Object.values(tray.seen).some((value) => value !== 'unknown');
  return (
    <Section title="Look, once it is clean">
      <Box sx={{ display: 'grid', gridTemplateColumns: { xs: '1fr', sm: '1fr 1fr' }, gap: 2 }}>
        <Choices
          label="Grease it came with"
          options={GREASE}
          value={known(tray.seen.grease)}
          onChoose={(grease) => see({ grease })}
        />
        <Choices label="Balls" options={BALLS} value={known(tray.seen.balls)} onChoose={(balls) => see({ balls })} />
        <Choices
          label="Cups, the worse one"
          options={TRACK}
          value={known(tray.seen.cup)}
          onChoose={(cup) => see({ cup })}
        />
        <Choices
          label="Cones, the worse one"
          options={TRACK}
          value={known(tray.seen.cone)}
          onChoose={(cone) => see({ cone })}
        />
      </Box>
      {grade && looked && (
        <VerdictBlock
          state={stateOf('bearings.grade', grade.verdict)}
          words={VERDICT_WORDS[grade.verdict]}
          reasons={grade.reasons}
          working={grade.working}
        >
          {grade.needs.length > 0 && (
            <Typography sx={{ color: 'text.secondary' }}>Needs: {grade.needs.join(', ')}.</Typography>
          )}
        </VerdictBlock>
      )}
    </Section>
  );
}

function Changed({ tray }: { tray: Tray }) {
  const { before, after } = tray;
  if (!before || !after) return null;
  const spin = (seconds: number | null) => (seconds === null ? '–' : `${seconds} s`);
  return (
    <BeforeAfter
      rows={[
        { label: 'Feel', before: before.feel, after: after.feel },
        { label: 'Play', before: before.play, after: after.play },
        { label: 'Spin', before: spin(before.spinS), after: spin(after.spinS) },
      ]}
    />
  );
}

/** What the look-over felt at this hub, to be taken as what it was before; asked only while nothing stands there. */
function FromLookOver({ bicycle, send, tray }: StageProps & { tray: Tray }) {
  const felt = beforeFromLookOver(bicycle, tray);
  if (!felt) return null;
  const words = [
    felt.feel !== 'unknown' && felt.feel.replace('-', ' '),
    felt.play !== 'unknown' && `play ${felt.play}`,
    felt.spinS !== null && `spins ${felt.spinS} s`,
  ].filter(Boolean);
  return (
    <Box sx={{ display: 'flex', gap: 2, alignItems: 'center', flexWrap: 'wrap', mb: 1.5 }}>
      <Box>At the look-over: {words.join(', ')}.</Box>
      <Button
        size="small"
        variant="outlined"
        onClick={() => send({ type: 'noteBearing', place: tray.place, when: 'before', changes: felt })}
      >
        Take it as the before
      </Button>
    </Box>
  );
}

/** The front hub, overhauled: before, balls, a look, the cone, after. */
export function Overhaul({ bicycle, send }: StageProps) {
  const tray = trayFor(bicycle, 'hub.front');
  return (
    <>
      <Section title="Front hub, before the spanner">
        <FromLookOver bicycle={bicycle} send={send} tray={tray} />
        <BearingNote send={send} tray={tray} when="before" />
      </Section>
      <Balls bicycle={bicycle} send={send} tray={tray} />
      <Look bicycle={bicycle} send={send} tray={tray} />
      <ConeBench send={send} tray={tray} />
      <Section title="After">
        <BearingNote send={send} tray={tray} when="after" />
        <Changed tray={tray} />
      </Section>
    </>
  );
}
