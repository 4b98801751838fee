'use client';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { useState } from 'react';
import type { ConeAdvice } from '@/core/bearings/adjustCone';
import type { ClampAllowance } from '@/core/bearings/clampAllowance';
import { axleHint, boreHint, clampHint, coneSpanHint, pitchHint } from '@/core/bearings/plausible';
import type { Tray } from '@/model/record';
import { coneInput } from '@/model/selectors';
import { newId } from '@/store/browser';
import { Choices } from '@/ui/Choices';
import { ReadingField } from '@/ui/ReadingField';
import { BigNumber, Section } from '@/ui/Section';
import { StateMark } from '@/ui/StateMark';
import { Working } from '@/ui/Working';
import { useReckon } from '../workshop/useReckon';
import { useSettings, type StageProps } from '../workshop/WorkshopProvider';
import { ConeDial } from './ConeDial';

const FEELS = [
  { id: 'loose', label: 'Loose', words: 'knocks' },
  { id: 'tick', label: 'A tick', words: 'faint play' },
  { id: 'smooth', label: 'Smooth', words: 'no play' },
  { id: 'tight', label: 'Tight', words: 'drags' },
] as const;

function SkewerAllowance({
  send,
  tray,
  allowance,
}: Pick<StageProps, 'send'> & { tray: Tray; allowance: ClampAllowance | null }) {
  const measure = (changes: Partial<Tray['axle']>) => send({ type: 'measureAxle', place: tray.place, changes });
  const { axle } = tray;
  return (
    <Section title="What the skewer squeezes" aside="none for nuts: enter a force of 0">
      <Box data-readings sx={{ display: 'flex', gap: 1.5, flexWrap: 'wrap' }}>
        <ReadingField
          label="Axle over the thread"
          kind="length"
          unit="mm"
          value={axle.majorMm}
          width={150}
          onCommit={(majorMm) => measure({ majorMm })}
          refuse={axleHint}
        />
        <ReadingField
          label="Pitch"
          kind="length"
          unit="mm"
          value={axle.pitchMm}
          width={120}
          onCommit={(pitchMm) => measure({ pitchMm })}
          refuse={pitchHint}
        />
        <ReadingField
          label="Bore"
          kind="length"
          unit="mm"
          value={axle.boreMm}
          width={120}
          onCommit={(boreMm) => measure({ boreMm })}
          refuse={(mm) => boreHint(mm, axle)}
        />
        <ReadingField
          label="Cone to cone"
          kind="length"
          unit="mm"
          value={axle.coneSpanMm}
          width={140}
          onCommit={(coneSpanMm) => measure({ coneSpanMm })}
          refuse={coneSpanHint}
        />
        <ReadingField
          label="Clamping force"
          kind="number"
          unit="N"
          value={axle.clampForceN}
          width={150}
          onCommit={(clampForceN) => measure({ clampForceN })}
          refuse={clampHint}
        />
      </Box>
      {allowance && (
        <Box sx={{ display: 'flex', gap: 4, mt: 2, flexWrap: 'wrap', alignItems: 'end' }}>
          <BigNumber value={`${allowance.compressionMm.toFixed(3)} mm`} label="shorter when closed" />
          <BigNumber value={`${Math.round(allowance.coneTurnDeg)}°`} label="of cone" />
          <Typography sx={{ flex: 1, minWidth: 220 }}>{allowance.words}</Typography>
        </Box>
      )}
      {allowance && <Working rows={allowance.working} />}
    </Section>
  );
}

/** The cone, set trial by trial: an advised turn, a feel, the next. */
export function ConeBench({ send, tray }: Pick<StageProps, 'send'> & { tray: Tray }) {
  const settings = useSettings();
  const { output: allowance, errors } = useReckon<ClampAllowance>('bearings.clampAllowance', {
    axle: { majorMm: tray.axle.majorMm, pitchMm: tray.axle.pitchMm, boreMm: tray.axle.boreMm },
    coneSpanMm: tray.axle.coneSpanMm,
    clampForceN: tray.axle.clampForceN,
  });
  const allowanceDeg = allowance?.coneTurnDeg ?? 0;
  const { output: advice, pending } = useReckon<ConeAdvice>(
    'bearings.adjustCone',
    allowance ? coneInput(tray, settings, allowanceDeg) : null,
  );
  const [turned, setTurned] = useState<number | null>(null);
  const [clamped, setClamped] = useState<boolean | null>(null);
  const first = tray.trials.length === 0;
  const turnDeg = turned ?? (first ? 0 : (advice?.next?.turnDeg ?? 0));
  const feltClamped = clamped ?? (first ? false : (advice?.next?.feelClamped ?? false));
  const full = tray.trials.length >= 60;

  const feel = (id: (typeof FEELS)[number]['id']) => {
    send({
      type: 'addTrial',
      place: tray.place,
      trial: { id: newId(), turnDeg, feel: id, clamped: allowanceDeg > 0 && feltClamped },
    });
    setTurned(null);
    setClamped(null);
  };

  return (
    <>
      <SkewerAllowance send={send} tray={tray} allowance={allowance} />
      {errors.map((error) => (
        <Typography key={error.path} role="alert" color="error">
          {error.message}
        </Typography>
      ))}
      <Section
        title="Set the cone"
        aside={`${tray.trials.length === 1 ? '1 trial' : `${tray.trials.length} trials`} · house rule: ${settings.school === 'from-tight' ? 'from tight' : 'from loose'}`}
      >
        {advice && (
          <Box
            sx={{
              display: 'grid',
              gridTemplateColumns: { xs: '1fr', sm: '190px minmax(0, 1fr)' },
              gap: 3,
              alignItems: 'center',
              opacity: pending ? 0.6 : 1,
            }}
          >
            <ConeDial
              toIdealDeg={advice.estimate.toIdealDeg}
              sdDeg={advice.estimate.sdDeg}
              turnDeg={advice.next?.turnDeg ?? 0}
              done={advice.done}
              known={!first}
            />
            <Box aria-live="polite">
              {advice.done ? (
                <Box sx={{ fontSize: '1.5rem', fontWeight: 660 }}>
                  <StateMark state="fine" size={28} /> Done in {tray.trials.length}
                </Box>
              ) : (
                <Box sx={{ fontSize: '1.35rem', fontWeight: 640, lineHeight: 1.3 }}>
                  {first
                    ? 'Run it down until it resists, back off a little, lock it, and say how it feels. Or start with the advised turn.'
                    : advice.next!.words}
                </Box>
              )}
              {first && advice.next && <Typography sx={{ mt: 1 }}>{advice.next.words}</Typography>}
              {advice.reasons.map((reason) => (
                <Typography key={reason} sx={{ color: 'text.secondary', mt: 0.5 }}>
                  {reason}
                </Typography>
              ))}
            </Box>
          </Box>
        )}
        <Box sx={{ mt: 3, display: 'flex', gap: 2, flexWrap: 'wrap', alignItems: 'end' }}>
          <Box data-readings sx={{ display: 'flex', gap: 1, alignItems: 'end' }}>
            <Choices
              label="Turned"
              options={
                [
                  { id: 'open', label: 'Opened' },
                  { id: 'none', label: 'Not turned' },
                  { id: 'tight', label: 'Tightened' },
                ] as const
              }
              value={turnDeg < 0 ? 'open' : turnDeg > 0 ? 'tight' : 'none'}
              onChoose={(id) =>
                setTurned(
                  id === 'none'
                    ? 0
                    : (id === 'open' ? -1 : 1) * (Math.abs(turnDeg) || Math.abs(advice?.next?.turnDeg ?? 15) || 15),
                )
              }
            />
            <ReadingField
              label="by, degrees"
              kind="number"
              unit="°"
              value={Math.abs(turnDeg)}
              width={130}
              onCommit={(size) => setTurned((turnDeg < 0 ? -1 : 1) * size)}
              refuse={(v) => (v > 720 ? 'two rounds at most' : null)}
            />
          </Box>
          {allowanceDeg > 0 && (
            <Choices
              label="Felt with the skewer"
              options={
                [
                  { id: 'open', label: 'Open' },
                  { id: 'closed', label: 'Closed, as ridden' },
                ] as const
              }
              value={feltClamped ? 'closed' : 'open'}
              onChoose={(id) => setClamped(id === 'closed')}
            />
          )}
        </Box>
        <Box
          role="group"
          aria-label="How does it feel?"
          sx={{ display: 'grid', gridTemplateColumns: { xs: '1fr 1fr', sm: 'repeat(4, 1fr)' }, gap: 1, mt: 2 }}
        >
          {FEELS.map(({ id, label, words }) => (
            <Button
              key={id}
              variant="outlined"
              disabled={full || !advice || pending}
              onClick={() => feel(id)}
              sx={{ minHeight: 68, flexDirection: 'column', fontSize: '1.1rem' }}
            >
              {label}
              <Box component="span" sx={{ fontSize: '0.8rem', fontWeight: 400, color: 'text.secondary' }}>
                {words}
              </Box>
            </Button>
          ))}
        </Box>
        {full && (
          <Typography role="status">
            Sixty trials are enough for one cone: take some back, or look for a pitted track.
          </Typography>
        )}
        {!first && (
          <Box
            component="ol"
            aria-label="Trials so far"
            sx={{ p: 0, m: 0, mt: 2, listStyle: 'none', fontSize: '0.95rem' }}
          >
            {tray.trials.map((trial, i) => (
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
                  , {allowanceDeg > 0 ? `skewer ${trial.clamped ? 'closed' : 'open'}, ` : ''}
                  <b>{trial.feel}</b>
                </Box>
                {i === tray.trials.length - 1 && (
                  <Button
                    size="small"
                    color="inherit"
                    onClick={() => send({ type: 'withdrawTrial', place: tray.place, trial: trial.id })}
                  >
                    Take it back
                  </Button>
                )}
              </Box>
            ))}
          </Box>
        )}
        {advice && <Working rows={advice.working} />}
      </Section>
    </>
  );
}
