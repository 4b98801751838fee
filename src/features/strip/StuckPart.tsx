'use client';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import FormControlLabel from '@mui/material/FormControlLabel';
import MenuItem from '@mui/material/MenuItem';
import Switch from '@mui/material/Switch';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import type { AnswerOf } from '@/core/questions';
import type { Timer } from '@/model/clean/part';
import type { Seized } from '@/model/strip/part';
import { minutesBetween } from '@/core/plan/clock';
import { newId } from '@/store/browser';
import { nowIso } from '@/store/now';
import { Disclosure } from '@/ui/Disclosure';
import { hours, money, percent } from '@/ui/format';
import { KeptText } from '@/ui/KeptText';
import { ReadingField } from '@/ui/ReadingField';
import { BigNumber } from '@/ui/Section';
import { Working } from '@/ui/Working';
import { useReckon } from '../workshop/useReckon';
import { useSettings, type StageProps } from '../workshop/WorkshopProvider';
import { Ladder } from './Ladder';
import { useLadder } from './useLadder';

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

/** The rung that is next, with its cautions, or that it is left as it is. */
function NextRung({
  stuck,
  onSoak,
  onNoHelp,
  onEnd,
}: {
  stuck: AnswerOf<'strip.stuck'>;
  onSoak(): void;
  onNoHelp(): void;
  onEnd(how: 'freed' | 'left'): void;
}) {
  return (
    <>
      {stuck.next && (
        <>
          <Box sx={{ fontSize: '1.5rem', fontWeight: 680, lineHeight: 1.15, mt: 0.5 }}>{stuck.next.label}</Box>
          <Box sx={{ mt: 1 }}>{stuck.next.how}</Box>
          <Box sx={{ mt: 1, borderLeft: '3px solid', borderColor: 'text.primary', pl: 1.5 }}>
            {stuck.next.cautions.join(' ')}
          </Box>
          <Box sx={{ display: 'flex', gap: 1, mt: 2, flexWrap: 'wrap' }}>
            {stuck.next.soakMinutes > 0 && (
              <Button variant="contained" sx={{ minHeight: 56 }} onClick={onSoak}>
                Soak {hours(stuck.next.soakMinutes)}
              </Button>
            )}
            <Button variant="outlined" color="inherit" sx={{ minHeight: 56 }} onClick={onNoHelp}>
              It did not help
            </Button>
            <Button
              variant={stuck.next.soakMinutes > 0 ? 'outlined' : 'contained'}
              color={stuck.next.soakMinutes > 0 ? 'inherit' : 'primary'}
              sx={{ minHeight: 56 }}
              onClick={() => onEnd('freed')}
            >
              It came free
            </Button>
          </Box>
        </>
      )}
      {stuck.stop && (
        <>
          <Box sx={{ fontSize: '1.5rem', fontWeight: 680 }}>Stop here</Box>
          <Box sx={{ mt: 1 }}>{stuck.reasons[0]}</Box>
          <Button variant="contained" sx={{ minHeight: 56, mt: 2 }} onClick={() => onEnd('left')}>
            Leave it as it is
          </Button>
        </>
      )}
    </>
  );
}

/** What is stuck in what, and what both are worth: the ladder stops where it would cost more. */
function MadeOf({
  row,
  stuck,
  rate,
  onPut: put,
}: {
  row: Seized;
  stuck: AnswerOf<'strip.stuck'> | null;
  rate: number;
  onPut(changes: Partial<Seized>): void;
}) {
  const { currency } = useSettings();
  const { output: ladder } = useReckon('strip.ladder', {});
  const materials = ladder?.materials ?? [row.partMaterial, row.aroundMaterial];
  return (
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
  );
}

/** The rungs that did not help. */
function Tried({ row, onBack }: { row: Seized; onBack(): void }) {
  if (row.tried.length === 0) return null;
  return (
    <Box sx={{ mt: 1, fontSize: '0.92rem' }}>
      Tried:{' '}
      {row.tried
        .map((each) => `${each.step.replaceAll('-', ' ')}${each.soakMinutes ? ` (${hours(each.soakMinutes)})` : ''}`)
        .join(', ')}
      .{' '}
      <Button size="small" color="inherit" onClick={onBack}>
        Take the last back
      </Button>
    </Box>
  );
}

/** One thing that will not move: the next rung, what it may cost, what was tried, and what it is made of. */
export function StuckPart({
  send,
  row,
  timers,
  rate,
}: Pick<StageProps, 'send'> & { row: Seized; timers: Timer[]; rate: number }) {
  const { currency } = useSettings();
  const { output: stuck, errors } = useLadder(row, rate);
  const put = (changes: Partial<Seized>) => send({ type: 'putSeized', seized: { ...row, ...changes } });
  const soakLabel = (words: string) => `${row.part}: ${words}`.slice(0, 120);
  const didNotHelp = () => {
    if (!stuck?.next) return;
    const { step, soakMinutes, label } = stuck.next;
    const at = nowIso();
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
        startedAt: nowIso(),
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
          {stuck && (
            <NextRung
              stuck={stuck}
              onSoak={soak}
              onNoHelp={didNotHelp}
              onEnd={(how) => put({ ended: { how, at: nowIso() } })}
            />
          )}
          {errors.map((error) => (
            <Typography key={error.path} color="error" role="alert">
              {error.message}
            </Typography>
          ))}
          {stuck && (
            <Box sx={{ display: 'flex', gap: 3, mt: 2, flexWrap: 'wrap' }}>
              <BigNumber value={money(stuck.expectedCost, currency)} label="it may still cost" />
              {!stuck.stop && <BigNumber value={percent(stuck.chanceFree)} label="come free by then" />}
            </Box>
          )}
          {stuck && stuck.reasons.length > 2 && <Box sx={{ mt: 1 }}>{stuck.reasons.slice(2).join(' ')}</Box>}
        </Box>
        <Box>{stuck && <Ladder rungs={stuck.rungs} />}</Box>
      </Box>
      <MadeOf row={row} stuck={stuck} rate={rate} onPut={put} />
      <Tried row={row} onBack={() => put({ tried: row.tried.slice(0, -1) })} />
    </Box>
  );
}
