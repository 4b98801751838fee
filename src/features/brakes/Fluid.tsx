'use client';
import Box from '@mui/material/Box';
import { own } from '@/core/own';
import { FLUIDS, type Fluid as BrakeFluid } from '@/core/setup/kinds';
import type { BrakePlace } from '@/model/brakes/questions';
import { Choices } from '@/ui/Choices';
import { Section } from '@/ui/Section';
import { stateColour } from '@/ui/StateMark';
import type { StageProps } from '../workshop/WorkshopProvider';

const FLUID_WORDS: Record<BrakeFluid, string> = { mineral: 'Mineral oil', glycol: 'Glycol' };
const FLUID_CHOICES = FLUIDS.map((id) => ({ id, label: FLUID_WORDS[id] }));

/** Which fluid a hydraulic brake has: nothing that moves fluid is told before somebody looked at its cap. */
export function Fluid({ bicycle, send, place }: StageProps & { place: BrakePlace }) {
  const fluid = own(bicycle.brakeFluids, place) ?? null;
  return (
    <Section title="Its fluid">
      <Choices
        label="The fluid, as it stands on the cap"
        options={FLUID_CHOICES}
        value={fluid}
        onChoose={(next) => send({ type: 'sayFluid', place, fluid: next })}
      />
      <Box sx={{ mt: 0.5, fontWeight: 620, color: fluid === null ? stateColour('service') : undefined }}>
        {fluid === null
          ? 'Nothing that moves fluid is told before this is known: mineral and glycol never meet.'
          : 'Mineral and glycol never meet: no funnel, syringe or rag of the other.'}
      </Box>
    </Section>
  );
}
