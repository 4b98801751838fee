'use client';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import type { PartOptions } from '@/core/clean/options';
import type { Way as CleaningOption } from '@/core/clean/ways';
import { frontHub } from '@/core/strip/assembly';
import { stateOf, type StateId } from '@/core/vocabulary/vocabulary';
import { trayFor } from '@/model/selectors';
import { newId } from '@/store/browser';
import { hours } from '@/ui/format';
import { Section } from '@/ui/Section';
import { stateColour } from '@/ui/StateMark';
import { useReckon } from '../workshop/useReckon';
import type { StageProps } from '../workshop/WorkshopProvider';
import { TimerList } from './TimerList';
import { Disclosure } from '@/ui/Disclosure';
import { RuledList } from '@/ui/RuledList';

const SOILS = [
  ['old-grease', 'Old grease'],
  ['oil', 'Oil'],
  ['mud', 'Mud'],
  ['rust', 'Rust'],
] as const;

const WORDS = { good: 'Good', caution: 'With care', never: 'Never' } as const;

function optionState(verdict: CleaningOption['verdict']): StateId {
  return stateOf('clean.options', verdict);
}

function limits(option: CleaningOption): string {
  const longest = option.maxMinutes === null ? '' : `, ${hours(option.maxMinutes)} at most`;
  const hottest = option.maxTempC === null ? '' : `, ${option.maxTempC} °C at most`;
  return `${hours(option.minMinutes)} or more${longest}${hottest}`;
}

function PartRow({
  send,
  part,
  soil,
  options,
}: Pick<StageProps, 'send'> & {
  part: (typeof frontHub.parts)[number];
  soil: (typeof SOILS)[number][0];
  options: PartOptions | undefined;
}) {
  const best = options?.options.find((option) => option.process === options.best);
  const name = `${part.label}${part.side ? `, ${part.side}` : ''}`;
  const start = (option: CleaningOption) =>
    send({
      type: 'startTimer',
      timer: {
        id: newId(),
        label: `${name}: ${option.process}`.slice(0, 120),
        place: frontHub.place,
        startedAt: new Date().toISOString(),
        minutes: option.minMinutes,
        maxMinutes: option.maxMinutes,
        next: 'Rinse, dry fully, then grease or oil at once.',
        endedAt: null,
      },
    });
  return (
    <Box component="li" sx={{ py: 1.75 }}>
      <Box
        sx={{
          display: 'grid',
          gridTemplateColumns: { xs: '1fr', sm: 'minmax(0, 1fr) 150px' },
          gap: 2,
          alignItems: 'start',
        }}
      >
        <Box>
          <Box sx={{ fontWeight: 640 }}>{name}</Box>
          <Box sx={{ color: 'text.secondary', fontSize: '0.88rem' }}>{part.materials.join(', ')}</Box>
        </Box>
        <TextField
          select
          label="Soil"
          value={soil}
          onChange={(event) =>
            send({ type: 'setSoil', place: frontHub.place, part: part.id, soil: event.target.value as typeof soil })
          }
          slotProps={{ htmlInput: { 'aria-label': `Soil of ${name}` } }}
        >
          {SOILS.map(([id, label]) => (
            <MenuItem key={id} value={id}>
              {label}
            </MenuItem>
          ))}
        </TextField>
      </Box>
      {options && !best && (
        <Typography sx={{ mt: 1, color: stateColour('unsafe') }}>
          Nothing in the table is safe for it with this soil: wipe it by hand and look again.
        </Typography>
      )}
      {best && (
        <Box sx={{ display: 'flex', gap: 2, alignItems: 'center', flexWrap: 'wrap', mt: 1 }}>
          <Box sx={{ flex: 1, minWidth: 240 }}>
            <Box sx={{ fontSize: '1.1rem', fontWeight: 620 }}>
              <Box component="span" sx={{ color: stateColour(optionState(best.verdict)) }}>
                {WORDS[best.verdict]}:
              </Box>{' '}
              {best.process}
            </Box>
            <Box sx={{ fontSize: '0.9rem' }}>
              {best.where === 'hand' ? 'By hand, ' : ''}
              {limits(best)}. {best.notes[0]}
            </Box>
          </Box>
          <Button variant="outlined" onClick={() => start(best)} aria-label={`Start a timer for ${name}`}>
            Start {hours(best.minMinutes)}
          </Button>
        </Box>
      )}
      {options && (
        <Disclosure summary={<>Every process for it</>}>
          <Box component="ul" sx={{ p: 0, m: 0, listStyle: 'none' }}>
            {options.options.map((option) => (
              <Box
                key={option.process}
                component="li"
                sx={{
                  display: 'grid',
                  gridTemplateColumns: '92px minmax(0, 1fr)',
                  gap: 1.5,
                  py: 0.75,
                  fontSize: '0.92rem',
                }}
              >
                <Box sx={{ color: stateColour(optionState(option.verdict)), fontWeight: 640 }}>
                  {WORDS[option.verdict]}
                </Box>
                <Box>
                  <b>{option.process}</b>. {option.verdict !== 'never' && `${limits(option)}. `}
                  {option.notes.join('. ')}
                  {option.verdict !== 'never' && option.ppe[0] && (
                    <Box sx={{ color: 'text.secondary' }}>
                      Wear: {option.ppe.join(', ')}. {option.hazards.join('. ')}.
                    </Box>
                  )}
                </Box>
              </Box>
            ))}
          </Box>
        </Disclosure>
      )}
    </Box>
  );
}

/** Where each part of the tray may go, and what runs. */
export function Clean({ bicycle, send }: StageProps) {
  const tray = trayFor(bicycle, frontHub.place);
  const parts = frontHub.parts.filter((part) => tray.order.includes(part.id));
  const soilOf = (id: string) => tray.soils[id] ?? 'old-grease';
  const { output } = useReckon<{ parts: PartOptions[] }>(
    'clean.options',
    parts.length
      ? { parts: parts.map((part) => ({ id: part.id, materials: part.materials, soil: soilOf(part.id) })) }
      : null,
  );
  const options = new Map(output?.parts.map((part) => [part.id, part]));
  return (
    <>
      <Section title="Running now">
        <TimerList bicycle={bicycle} send={send} />
        <Typography variant="body2" sx={{ color: 'text.secondary', mt: 1.5, maxWidth: '62ch' }}>
          A timer goes on when this page is closed, but a closed page is silent: set an alarm on the phone for the time
          it says.
        </Typography>
      </Section>
      <Section title="The front hub's tray" aside={parts.length ? `${parts.length} parts` : undefined}>
        {parts.length === 0 && (
          <Typography>The tray is empty. Take the hub apart at Strip, and its parts come here.</Typography>
        )}
        <RuledList>
          {parts.map((part) => (
            <PartRow key={part.id} send={send} part={part} soil={soilOf(part.id)} options={options.get(part.id)} />
          ))}
        </RuledList>
        {parts.length > 0 && (
          <Typography variant="body2" sx={{ color: 'text.secondary', mt: 2, maxWidth: '62ch' }}>
            Never mix cleaners; solvents stay away from heat; acid baths stand with the lid off and away from flame, for
            they make gas. Gloves, eyes, air. Rags and solvents go where local rules say. Old linings and paint may hold
            asbestos or lead: no dry sanding.
          </Typography>
        )}
      </Section>
    </>
  );
}
