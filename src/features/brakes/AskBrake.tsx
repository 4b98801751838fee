'use client';
import { brakeOf } from '@/core/bicycle';
import { setBrakeOf } from '@/core/setup/kinds';
import type { BrakePlace } from '@/model/brakes/questions';
import { Choices } from '@/ui/Choices';
import { Section } from '@/ui/Section';
import type { StageProps } from '../workshop/WorkshopProvider';
import { Fluid } from './Fluid';

const ACTUATIONS = [
  { id: 'mechanical', label: 'Cable' },
  { id: 'hydraulic', label: 'Hose' },
] as const;

/** What has to be known of a brake before it is set up: how a disc is pulled, and which fluid is in it. */
export function AskBrake({ bicycle, send, place }: StageProps & { place: BrakePlace }) {
  const { kind } = bicycle;
  const end = place === 'brake.front' ? 'front' : 'rear';
  if (brakeOf(kind, end) === 'disc' && kind[`${end}Actuation`] === null)
    return (
      <Section title="How it is worked">
        <Choices
          label="It is pulled by"
          options={ACTUATIONS}
          value={null}
          onChoose={(next) => send({ type: 'describeKind', changes: { [`${end}Actuation`]: next } })}
        />
      </Section>
    );
  return setBrakeOf(kind, end) === 'disc-hydraulic' ? <Fluid bicycle={bicycle} send={send} place={place} /> : null;
}
