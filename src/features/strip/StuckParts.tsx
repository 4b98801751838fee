'use client';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import FormControlLabel from '@mui/material/FormControlLabel';
import MenuItem from '@mui/material/MenuItem';
import Switch from '@mui/material/Switch';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { placeLabel } from '@/core/vocabulary/vocabulary';
import type { Timer } from '@/model/clean/part';
import type { Seized } from '@/model/strip/part';
import { usualJoint, type StuckJoint } from '@/core/strip/usualJoint';
import { wageOf } from '@/model/money/questions';
import { minutesBetween } from '@/core/plan/clock';
import { newId } from '@/store/browser';
import { nowIso } from '@/store/now';
import { Disclosure } from '@/ui/Disclosure';
import { hours, money } from '@/ui/format';
import { KeptText } from '@/ui/KeptText';
import { ReadingField } from '@/ui/ReadingField';
import { BigNumber, Section } from '@/ui/Section';
import { Working } from '@/ui/Working';
import { useReckon } from '../workshop/useReckon';
import { useSettings, type StageProps } from '../workshop/WorkshopProvider';
import { Ladder } from './Ladder';
import { useLadder } from './useLadder';

/** What is round a stuck part; for titanium the nearest that the ladder knows. */
const USUAL_FRAME = {
  steel: 'painted steel sound',
  aluminium: 'bare aluminium',
  carbon: 'carbon',
  titanium: 'stainless steel',
} as const;

/** A stuck part of a place, as it usually is there; every field can be corrected. */
export function newSeized(
  place: string,
  part: { words: string; material: string | undefined },
  frameMaterial: keyof typeof USUAL_FRAME,
  joints: StuckJoint[],
): Seized {
  const usual = usualJoint(joints, part.words);
  return {
    id: newId(),
    place,
    part: part.words.slice(0, 120),
    partMaterial: usual?.partMaterial ?? part.material ?? 'plain steel',
    aroundMaterial: usual?.aroundMaterial ?? USUAL_FRAME[frameMaterial],
    paintMatters: true,
    partValue: 1000,
    aroundValue: 10000,
    tried: [],
    ended: null,
  };
}

/** Asks before a part is put down as stuck: a slip of the finger writes nothing. */
export function AskStuck({ part, onYes, onNo }: { part: Seized; onYes(): void; onNo(): void }) {
  return (
    <Box
      role="group"
      aria-label="It will not move"
      sx={{ borderLeft: '3px solid', borderColor: 'text.primary', pl: 2, py: 0.5, mb: 2 }}
    >
      <Box sx={{ fontWeight: 640 }}>Put down as stuck: {part.part.toLowerCase()}?</Box>
      <Box sx={{ color: 'text.secondary', fontSize: '0.92rem' }}>
        {part.partMaterial} in {part.aroundMaterial}, as it usually is: both can be put right on its ladder.
      </Box>
      <Box sx={{ display: 'flex', gap: 1, mt: 1 }}>
        <Button variant="contained" autoFocus onClick={onYes} sx={{ minHeight: 48 }}>
          Yes, it is stuck
        </Button>
        <Button color="inherit" onClick={onNo} sx={{ minHeight: 48 }}>
          Not now
        </Button>
      </Box>
    </Box>
  );
}

function Material({
  names,
  label,
  value,
  onChoose,
}: {
  names: string[];
  label: string;
  value: string;
  onChoose(value: string): void;
}) {
  return (
    <TextField
      select
      label={label}
      value={value}
      onChange={(event) => onChoose(event.target.value)}
      sx={{ minWidth: 210 }}
    >
      {names.map((name) => (
        <MenuItem key={name} value={name}>
          {name}
        </MenuItem>
      ))}
    </TextField>
  );
}

function One({ send, row, timers, rate }: Pick<StageProps, 'send'> & { row: Seized; timers: Timer[]; rate: number }) {
  const { currency } = useSettings();
  const { output: stuck, errors } = useLadder(row, rate);
  const { output: ladder } = useReckon('strip.ladder', {});
  const materials = ladder?.materials ?? [row.partMaterial, row.aroundMaterial];
  const put = (changes: Partial<Seized>) => send({ type: 'putSeized', seized: { ...row, ...changes } });
  const now = () => nowIso();
  const soakLabel = (words: string) => `${row.part}: ${words}`.slice(0, 120);
  const didNotHelp = () => {
    if (!stuck?.next) return;
    const { step, soakMinutes, label } = stuck.next;
    const at = now();
    // What a timer has counted is what it soaked; where none was set it is taken as asked for.
    const timer = timers.find((each) => each.label === soakLabel(label) && each.endedAt === null);
    const soaked = timer ? Math.min(soakMinutes, minutesBetween(timer.startedAt, at)) : soakMinutes;
    put({ tried: [...row.tried, { step, soakMinutes: soaked, at }].slice(-60) });
    if (timer) send({ type: 'endTimer', timer: timer.id, at });
  };
  const soak = () => {
    if (!stuck?.next) return;
    send({
      type: 'startTimer',
      timer: {
        id: newId(),
        label: soakLabel(stuck.next.label),
        place: row.place,
        startedAt: now(),
        minutes: stuck.next.soakMinutes,
        maxMinutes: null,
        next: 'Try the tool again. Nothing hot until it is wiped off and aired.',
        endedAt: null,
        bath: null,
        parts: [],
      },
    });
  };
  return (
    <Box component="li" sx={{ py: 2 }}>
      <Box sx={{ display: 'grid', gridTemplateColumns: { xs: '1fr', sm: 'minmax(0, 1fr) minmax(0, 1fr)' }, gap: 3 }}>
        <Box>
          <Box sx={{ color: 'text.secondary' }}>{row.part}</Box>
          {stuck?.next && (
            <>
              <Box sx={{ fontSize: '1.5rem', fontWeight: 680, lineHeight: 1.15, mt: 0.5 }}>{stuck.next.label}</Box>
              <Box sx={{ mt: 1 }}>{stuck.next.how}</Box>
              <Box sx={{ mt: 1, borderLeft: '3px solid', borderColor: 'text.primary', pl: 1.5 }}>
                {stuck.next.cautions.join(' ')}
              </Box>
              <Box sx={{ display: 'flex', gap: 1, mt: 2, flexWrap: 'wrap' }}>
                {stuck.next.soakMinutes > 0 && (
                  <Button variant="contained" sx={{ minHeight: 56 }} onClick={soak}>
                    Soak {hours(stuck.next.soakMinutes)}
                  </Button>
                )}
                <Button variant="outlined" color="inherit" sx={{ minHeight: 56 }} onClick={didNotHelp}>
                  It did not help
                </Button>
                <Button
                  variant={stuck.next.soakMinutes > 0 ? 'outlined' : 'contained'}
                  color={stuck.next.soakMinutes > 0 ? 'inherit' : 'primary'}
                  sx={{ minHeight: 56 }}
                  onClick={() => put({ ended: { how: 'freed', at: now() } })}
                >
                  It came free
                </Button>
              </Box>
            </>
          )}
          {stuck?.stop && (
            <>
              <Box sx={{ fontSize: '1.5rem', fontWeight: 680 }}>Stop here</Box>
              <Box sx={{ mt: 1 }}>{stuck.reasons[0]}</Box>
              <Button
                variant="contained"
                sx={{ minHeight: 56, mt: 2 }}
                onClick={() => put({ ended: { how: 'left', at: now() } })}
              >
                Leave it as it is
              </Button>
            </>
          )}
          {errors.map((error) => (
            <Typography key={error.path} color="error" role="alert">
              {error.message}
            </Typography>
          ))}
          {stuck && (
            <Box sx={{ display: 'flex', gap: 3, mt: 2, flexWrap: 'wrap' }}>
              <BigNumber value={money(stuck.expectedCost, currency)} label="it may still cost" />
              {!stuck.stop && (
                <BigNumber value={`${Math.round(stuck.chanceFree * 100)} in 100`} label="come free by then" />
              )}
            </Box>
          )}
          {stuck && stuck.reasons.length > 2 && <Box sx={{ mt: 1 }}>{stuck.reasons.slice(2).join(' ')}</Box>}
        </Box>
        <Box>{stuck && <Ladder rungs={stuck.rungs} />}</Box>
      </Box>
      <Disclosure summary={<>What it is made of, and worth</>}>
        <Box sx={{ display: 'flex', gap: 2, flexWrap: 'wrap', alignItems: 'start', pt: 1 }}>
          <KeptText
            label="What is stuck"
            value={row.part}
            width={260}
            refuse={(t) => (t ? null : 'say what')}
            onKeep={(part) => put({ part })}
          />
          <Material
            names={materials}
            label="The part"
            value={row.partMaterial}
            onChoose={(partMaterial) => put({ partMaterial })}
          />
          <Material
            names={materials}
            label="Round it"
            value={row.aroundMaterial}
            onChoose={(aroundMaterial) => put({ aroundMaterial })}
          />
          <ReadingField
            label="Part is worth"
            kind="money"
            unit={currency}
            width={160}
            value={row.partValue}
            onCommit={(partValue) => put({ partValue })}
          />
          <ReadingField
            label="What is round it"
            kind="money"
            unit={currency}
            width={160}
            value={row.aroundValue}
            onCommit={(aroundValue) => put({ aroundValue })}
          />
          <FormControlLabel
            control={
              <Switch checked={row.paintMatters} onChange={(event) => put({ paintMatters: event.target.checked })} />
            }
            label="Paint near it is kept"
          />
        </Box>
        {stuck && <Working rows={stuck.working} />}
        <Typography variant="body2" sx={{ color: 'text.secondary' }}>
          Chances are rules of thumb.{' '}
          {rate > 0
            ? `Time counts ${money(rate, currency)} an hour.`
            : 'No hour has a price in the house rules, so time counts nothing here and it says stop late.'}
        </Typography>
      </Disclosure>
      {row.tried.length > 0 && (
        <Box sx={{ mt: 1, fontSize: '0.92rem' }}>
          Tried:{' '}
          {row.tried
            .map(
              (each) => `${each.step.replaceAll('-', ' ')}${each.soakMinutes ? ` (${hours(each.soakMinutes)})` : ''}`,
            )
            .join(', ')}
          .{' '}
          <Button size="small" color="inherit" onClick={() => put({ tried: row.tried.slice(0, -1) })}>
            Take the last back
          </Button>
        </Box>
      )}
    </Box>
  );
}

/** Everything that will not move: what was tried, what next, what it may cost, when to stop. */
export function StuckParts({ bicycle, send, place }: StageProps & { place: string | null }) {
  const settings = useSettings();
  const rows = bicycle.seized.filter((row) => row.ended === null && (place === null || row.place === place));
  if (rows.length === 0) return null;
  return (
    <Section
      title="Will not move"
      aside={place === null ? rows.map((row) => placeLabel(row.place)).join(', ') : undefined}
    >
      <Box component="ul" sx={{ p: 0, m: 0, listStyle: 'none' }}>
        {rows.map((row) => (
          <One key={row.id} send={send} row={row} timers={bicycle.timers} rate={wageOf(bicycle, settings)} />
        ))}
      </Box>
    </Section>
  );
}
