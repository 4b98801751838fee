'use client';
import { setBrakeOf } from '@/core/setup/kinds';
import type { BrakePlace } from '@/model/brakes/questions';
import type { StageProps } from '../workshop/WorkshopProvider';
import { CantileverForce } from './CantileverForce';
import { Fluid } from './Fluid';
import { HandToPad } from './HandToPad';

/** What a brake is besides its steps: its fluid, or its force and travel from hand to pad. */
export function BrakeNumbers({ bicycle, send, place }: StageProps & { place: BrakePlace }) {
  const brake = setBrakeOf(bicycle.kind, place === 'brake.front' ? 'front' : 'rear');
  if (brake === 'disc-hydraulic') return <Fluid bicycle={bicycle} send={send} place={place} />;
  if (brake === 'back-pedal') return null;
  return (
    <>
      {brake === 'cantilever' && <CantileverForce bicycle={bicycle} send={send} place={place} />}
      <HandToPad bicycle={bicycle} send={send} place={place} brake={brake} />
    </>
  );
}
