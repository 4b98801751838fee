'use client';
import { own } from '@/core/own';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { useState } from 'react';
import type { Load } from '@/core/clean/plan';
import type { Timer } from '@/model/clean/part';
import { dirtyParts, keyParts, washInput, type Dirty } from '@/model/clean/wash';
import { newId } from '@/store/browser';
import { nowIso } from '@/store/now';
import { Disclosure } from '@/ui/Disclosure';
import { hours } from '@/ui/format';
import { RuledList } from '@/ui/RuledList';
import { BigNumber, Section } from '@/ui/Section';
import { stateColour } from '@/ui/StateMark';
import { useTrays } from '../workshop/useTrays';
import { useNow } from '../workshop/useNow';
import { useReckon } from '../workshop/useReckon';
import { useSettings, type StageProps } from '../workshop/WorkshopProvider';
import { BathTimes } from './BathTimes';
import { SoakStarted } from './SoakStarted';

const SOILS = [
  ['old-grease', 'Old grease'],
  ['oil', 'Oil'],
  ['mud', 'Mud'],
  ['rust', 'Rust'],
] as const;

function LoadRow({
  send,
  load,
  bath,
  dirty,
  waits,
  onStarted,
}: Pick<StageProps, 'send'> & {
  load: Load;
  bath: string;
  dirty: Map<string, Dirty>;
  waits: boolean;
  onStarted(timer: Timer): void;
}) {
  const parts = load.partIds.map((key) => dirty.get(key)!).filter(Boolean);
  const unasked = load.asksHardened ? parts.filter((part) => part.hardened === null) : [];
  function start(): void {
    const timer: Timer = {
      id: newId(),
      label: `${bath}: ${parts.map((part) => part.words).join(', ')}`.slice(0, 120),
      place: parts[0]!.place,
      startedAt: nowIso(),
      minutes: load.minutes,
      maxMinutes: load.maxMinutes,
      next: `${load.after.join('. ')}.`.slice(0, 2000),
      endedAt: null,
      bath: load.bathId,
      parts: load.partIds.slice(0, 100),
    };
    send({ type: 'startTimer', timer });
    onStarted(timer);
  }
  return (
    <Box component="li" sx={{ py: 2 }}>
      <Box sx={{ display: 'flex', gap: 2, justifyContent: 'space-between', alignItems: 'start', flexWrap: 'wrap' }}>
        <Box sx={{ flex: 1, minWidth: 220 }}>
          <Box sx={{ fontSize: '1.2rem', fontWeight: 660 }}>
            {bath}, {hours(load.minutes)}
            {load.tempC !== null && `, ${load.tempC} °C at most`}
            {load.maxMinutes !== null && `, never past ${hours(load.maxMinutes)}`}
          </Box>
          <Box sx={{ mt: 0.5 }}>{parts.map((part) => part.words).join(' · ')}</Box>
        </Box>
        <Button
          variant="contained"
          sx={{ minHeight: 56, px: 3 }}
          disabled={unasked.length > 0 || waits}
          onClick={start}
          aria-label={`Start ${bath}, ${hours(load.minutes)}`}
        >
          Start
        </Button>
      </Box>
      {waits && <Box sx={{ mt: 0.5 }}>The bath is taken until what runs in it is out.</Box>}
      {unasked.map((part) => (
        <Box
          key={part.key}
          role="group"
          aria-label={`Is it hardened: ${part.words}`}
          sx={{
            mt: 1,
            display: 'flex',
            gap: 1,
            alignItems: 'center',
            flexWrap: 'wrap',
            borderLeft: '3px solid',
            borderColor: stateColour('service'),
            pl: 1.5,
          }}
        >
          <Box sx={{ flex: 1, minWidth: 200 }}>
            <b>{part.words}:</b> hardened, marked 8.8 or over, or load-bearing and unknown?
          </Box>
          <Button
            variant="outlined"
            color="inherit"
            sx={{ minHeight: 56 }}
            onClick={() => send({ type: 'sayHardened', place: part.place, part: part.part, hardened: true })}
          >
            Yes, keep it out
          </Button>
          <Button
            variant="outlined"
            color="inherit"
            sx={{ minHeight: 56 }}
            onClick={() => send({ type: 'sayHardened', place: part.place, part: part.part, hardened: false })}
          >
            No, plain
          </Button>
        </Box>
      ))}
      <Box component="ul" sx={{ m: 0, mt: 1, pl: 2.5, fontSize: '0.92rem' }}>
        {load.cautions.map((words) => (
          <li key={words}>{words}</li>
        ))}
      </Box>
      <Box sx={{ fontSize: '0.92rem', mt: 0.5 }}>
        <b>Then:</b> {load.after.join(' → ')}
      </Box>
    </Box>
  );
}

/** The wash of everything that lies dirty in the trays: loads, what goes by hand, what must not meet what. */
export function Wash({ bicycle, send }: StageProps) {
  const trays = useTrays(bicycle);
  const settings = useSettings();
  const { baths } = settings;
  const now = useNow(30_000);
  const [started, setStarted] = useState<Timer | null>(null);
  const list = trays ? dirtyParts(bicycle, trays.trays) : [];
  const question = list.length ? washInput(list, settings, bicycle, now.getTime()) : null;
  const { output: plan, errors } = useReckon('clean.plan', question);
  const dirty = new Map(list.map((part) => [part.key, part]));
  const labels = Object.fromEntries(baths.map((bath) => [bath.id, bath.label]));
  const inUse = new Set((question?.baths ?? []).flatMap(({ id, busyMinutes }) => (busyMinutes ? [id] : [])));
  const shown = plan && plan.loads.every((load) => load.partIds.every((key) => dirty.has(key))) ? plan : null;
  const clean = (keys: string[]) => send({ type: 'cleanParts', parts: keys.map(keyParts), clean: true });
  return (
    <>
      <Section title="The wash" aside={list.length ? `${list.length} parts are dirty` : undefined}>
        {list.length === 0 && (
          <>
            <Typography sx={{ mb: 1 }}>
              Nothing dirty lies in the trays. What is taken off at Strip comes here.
            </Typography>
            <BathTimes bicycle={bicycle} plan={null} labels={labels} now={now} />
          </>
        )}
        {errors.map((error) => (
          <Typography key={error.path} role="alert" color="error">
            {error.message}
          </Typography>
        ))}
        {shown && list.length > 0 && (
          <>
            <Box sx={{ display: 'flex', gap: 4, flexWrap: 'wrap', mb: 2 }}>
              <BigNumber value={shown.loads.length} label={shown.loads.length === 1 ? 'load' : 'loads'} />
              <BigNumber
                value={hours(shown.totals.handsMinutes + shown.totals.handlingMinutes)}
                label="with the hands"
              />
              <BigNumber value={hours(shown.totals.untilLastOutMinutes)} label="until the last is out" />
            </Box>
            <BathTimes bicycle={bicycle} plan={shown} labels={labels} now={now} />
            <RuledList aria-label="Loads">
              {shown.loads.map((load) => (
                <LoadRow
                  key={load.partIds.join()}
                  send={send}
                  load={load}
                  bath={own(labels, load.bathId) ?? load.bathId}
                  dirty={dirty}
                  waits={inUse.has(load.bathId)}
                  onStarted={setStarted}
                />
              ))}
            </RuledList>
          </>
        )}
      </Section>
      {shown && shown.byHand.length > 0 && (
        <Section title="By hand" aside={hours(shown.totals.handsMinutes)}>
          <RuledList aria-label="By hand">
            {shown.byHand.map((each) => (
              <Box
                component="li"
                key={each.partId}
                sx={{ py: 1.25, display: 'flex', gap: 2, alignItems: 'center', justifyContent: 'space-between' }}
              >
                <Box>
                  <b>{dirty.get(each.partId)?.words}</b>: {each.process}, {hours(each.minutes)}
                  {each.verdict === 'caution' && (
                    <Box component="span" sx={{ color: stateColour('service'), fontWeight: 620 }}>
                      , with care
                    </Box>
                  )}
                  <Box sx={{ fontSize: '0.9rem', color: 'text.secondary' }}>
                    {[...each.cautions.slice(0, 2), `Then: ${each.after.join(', ').toLowerCase()}`].join('. ')}
                  </Box>
                </Box>
                <Button
                  variant="outlined"
                  color="inherit"
                  sx={{ minHeight: 56 }}
                  onClick={() => clean([each.partId])}
                  aria-label={`Clean now: ${dirty.get(each.partId)?.words}`}
                >
                  Clean
                </Button>
              </Box>
            ))}
          </RuledList>
        </Section>
      )}
      {shown && shown.refused.length > 0 && (
        <Section title="Stays as it is">
          <RuledList>
            {shown.refused.map((each) => (
              <Box component="li" key={each.partId} sx={{ py: 1 }}>
                <b>{dirty.get(each.partId)?.words}</b>: {each.reason}
              </Box>
            ))}
          </RuledList>
        </Section>
      )}
      {shown && shown.neverTogether.length > 0 && (
        <Box sx={{ mt: 2, borderLeft: '3px solid', borderColor: stateColour('unsafe'), pl: 1.5 }}>
          <b>Must not meet:</b>{' '}
          {shown.neverTogether.map((row) => `${row.process} and ${row.with} (${row.why})`).join('; ')}.
        </Box>
      )}
      {list.length > 0 && (
        <Box sx={{ mt: 2 }}>
          <Disclosure summary={<>What is on them</>}>
            <RuledList aria-label="Soil of each part">
              {list.map((part) => (
                <Box
                  component="li"
                  key={part.key}
                  sx={{ py: 0.75, display: 'flex', gap: 2, alignItems: 'center', justifyContent: 'space-between' }}
                >
                  <Box>
                    <b>{part.words}</b>
                    <Box sx={{ fontSize: '0.86rem', color: 'text.secondary' }}>{part.materials.join(', ')}</Box>
                  </Box>
                  <TextField
                    select
                    size="small"
                    value={part.soil}
                    onChange={(event) =>
                      send({
                        type: 'setSoil',
                        place: part.place,
                        part: part.part,
                        soil: event.target.value as Dirty['soil'],
                      })
                    }
                    slotProps={{ htmlInput: { 'aria-label': `Soil of ${part.words}` } }}
                    sx={{ width: 150, flexShrink: 0 }}
                  >
                    {SOILS.map(([id, label]) => (
                      <MenuItem key={id} value={id}>
                        {label}
                      </MenuItem>
                    ))}
                  </TextField>
                </Box>
              ))}
            </RuledList>
          </Disclosure>
        </Box>
      )}
      {started && <SoakStarted timer={started} onClose={() => setStarted(null)} />}
    </>
  );
}
