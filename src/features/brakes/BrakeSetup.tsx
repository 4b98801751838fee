'use client';
import Box from '@mui/material/Box';
import Checkbox from '@mui/material/Checkbox';
import FormControlLabel from '@mui/material/FormControlLabel';
import type { BrakeSetup as Setup } from '@/core/brakes/setup';
import { FLUIDS, type BrakeJob, type Fluid } from '@/core/brakes/setupKinds';
import { own } from '@/core/own';
import { setupInput, type BrakePlace } from '@/model/brakes/questions';
import { nowIso } from '@/store/now';
import { Choices } from '@/ui/Choices';
import { Disclosure } from '@/ui/Disclosure';
import { dayOf } from '@/ui/format';
import { RuledList } from '@/ui/RuledList';
import { Section } from '@/ui/Section';
import { stateColour } from '@/ui/StateMark';
import { useHand } from '../workshop/useHand';
import { useReckon } from '../workshop/useReckon';
import { useSettings, type StageProps } from '../workshop/WorkshopProvider';
import { CantileverForce } from './CantileverForce';
import { HandToPad } from './HandToPad';

const JOB_WORDS: Record<BrakeJob, string> = {
  'set-up': 'Set up',
  pads: 'Pads in and out',
  bleed: 'Bleed it',
  hose: 'A new hose',
  master: 'The master cylinder',
  disc: 'The disc',
};
const FLUID_WORDS: Record<Fluid, string> = { mineral: 'Mineral oil', glycol: 'Glycol' };
const FLUID_CHOICES = FLUIDS.map((id) => ({ id, label: FLUID_WORDS[id] }));

type Step = Setup['jobs'][number]['steps'][number];

/** One step of the setting-up: what it is, how, and what must not be. */
function SetupStep({ bicycle, send, place, step }: StageProps & { place: BrakePlace; step: Step }) {
  const { name: by } = useHand();
  const done = own(bicycle.brakeSteps, `${place}/${step.id}`) ?? null;
  return (
    <Box component="li" sx={{ py: 0.75 }}>
      <FormControlLabel
        control={
          <Checkbox
            checked={done !== null}
            onChange={(event) =>
              send({
                type: 'setBrakeStep',
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
      <Box sx={{ pl: 4, fontSize: '0.95rem' }}>
        {step.how}
        {step.stop && <Box sx={{ color: stateColour('unsafe'), fontWeight: 620 }}>{step.stop}</Box>}
        {step.qualified && <Box sx={{ color: 'text.secondary' }}>For a qualified hand.</Box>}
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

/** How the brake of one end is set up: its steps, its fluid, force and travel. Whatever is ticked asks for the brake's proof again. */
export function BrakeSetup({ bicycle, send, place }: StageProps & { place: BrakePlace }) {
  const { output } = useReckon('brakes.setup', setupInput(bicycle, useSettings(), place));
  if (!output) return <p role="status">Looking the steps up…</p>;
  const { brake, jobs, asksFluid } = output;
  const fluid = own(bicycle.brakeFluids, place) ?? null;
  const [first, ...others] = jobs;
  const byCable = brake === 'caliper' || brake === 'cantilever' || brake === 'direct-pull';
  const counted = (steps: readonly Step[]) =>
    `${steps.filter(({ id }) => own(bicycle.brakeSteps, `${place}/${id}`) !== undefined).length} of ${steps.length}`;
  return (
    <Section title="Set up" aside={first && `${counted(first.steps)} done`}>
      {brake === 'disc-hydraulic' && (
        <Box sx={{ mb: 1.5 }}>
          <Choices
            label="The fluid, as it stands on the cap"
            options={FLUID_CHOICES}
            value={fluid}
            onChoose={(next) => send({ type: 'sayFluid', place, fluid: next })}
          />
          <Box sx={{ mt: 0.5, fontWeight: 620, color: asksFluid ? stateColour('service') : undefined }}>
            {asksFluid
              ? 'Nothing that moves fluid is told before this is known: mineral and glycol never meet.'
              : 'Mineral and glycol never meet: no funnel, syringe or rag of the other.'}
          </Box>
        </Box>
      )}
      {first && (
        <RuledList>
          {first.steps.map((step) => (
            <SetupStep key={step.id} bicycle={bicycle} send={send} place={place} step={step} />
          ))}
        </RuledList>
      )}
      {others.map(({ job, steps }) => (
        <Disclosure
          key={job}
          summary={
            <>
              {JOB_WORDS[job]}, {counted(steps)}
            </>
          }
          wide
        >
          <RuledList>
            {steps.map((step) => (
              <SetupStep key={step.id} bicycle={bicycle} send={send} place={place} step={step} />
            ))}
          </RuledList>
        </Disclosure>
      ))}
      {brake === 'cantilever' && <CantileverForce bicycle={bicycle} send={send} place={place} />}
      {byCable && <HandToPad bicycle={bicycle} send={send} place={place} isCantilever={brake === 'cantilever'} />}
    </Section>
  );
}
