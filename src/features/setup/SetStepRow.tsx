'use client';
import Box from '@mui/material/Box';
import Checkbox from '@mui/material/Checkbox';
import FormControlLabel from '@mui/material/FormControlLabel';
import type { Check } from '@/core/inspect/check';
import type { LookOver } from '@/core/inspect/lookOver';
import { own } from '@/core/own';
import type { SetStep } from '@/core/setup/steps';
import { nowIso } from '@/store/now';
import { Disclosure } from '@/ui/Disclosure';
import { dayOf } from '@/ui/format';
import { StateMark, stateColour } from '@/ui/StateMark';
import { CheckAsk } from '../look-over/CheckAsk';
import { useHand } from '../workshop/useHand';
import type { StageProps } from '../workshop/WorkshopProvider';
import { Figures } from './Figures';

/** One step: what it is, how, what must not be, what is forgotten, and what is read or written down at it. */
export function SetStepRow({
  bicycle,
  send,
  place,
  step,
  check,
  lookOver,
}: StageProps & { place: string; step: SetStep; check: Check | null; lookOver: LookOver | null }) {
  const { name: by } = useHand();
  const done = own(bicycle.setSteps, `${place}/${step.id}`) ?? null;
  const state = check && lookOver?.findings.find((each) => each.check === check.id)?.state;
  return (
    <Box component="li" sx={{ py: 0.75 }}>
      <FormControlLabel
        control={
          <Checkbox
            checked={done !== null}
            onChange={(event) =>
              send({
                type: 'setUpStep',
                place,
                step: step.id,
                done: event.target.checked ? { at: nowIso(), by } : null,
              })
            }
          />
        }
        label={<b>{step.label}</b>}
        sx={{ minHeight: 44 }}
      />
      <Box sx={{ pl: 4, fontSize: '0.95rem', maxWidth: '66ch' }}>
        {step.how}
        {step.stop && <Box sx={{ color: stateColour('unsafe'), fontWeight: 620 }}>{step.stop}</Box>}
        {step.forget && <Box sx={{ color: 'text.secondary' }}>{step.forget}</Box>}
        {step.qualified && <Box sx={{ color: 'text.secondary' }}>For a qualified hand.</Box>}
        {step.figures.length > 0 && <Figures bicycle={bicycle} send={send} place={place} figures={step.figures} />}
        {check && (
          <Disclosure
            summary={
              <Box component="span" sx={{ display: 'inline-flex', gap: 1, alignItems: 'center' }}>
                Put down: {check.label.toLowerCase()}
                {state && state !== 'not-looked-at' && <StateMark state={state} size={18} />}
              </Box>
            }
          >
            <Box role="group" aria-label={check.label} sx={{ py: 1 }}>
              <CheckAsk bicycle={bicycle} send={send} check={check} lookOver={lookOver} />
            </Box>
          </Disclosure>
        )}
        {done && (
          <Box sx={{ color: 'text.secondary', fontSize: '0.88rem' }}>
            {dayOf(done.at)}
            {done.by && `, ${done.by}`}
          </Box>
        )}
      </Box>
    </Box>
  );
}
