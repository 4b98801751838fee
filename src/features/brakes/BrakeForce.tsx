'use client';
import { brakeOf } from '@/core/bicycle';
import { setBrakeOf } from '@/core/setup/kinds';
import type { BrakePlace } from '@/model/brakes/questions';
import type { StageProps } from '../workshop/WorkshopProvider';
import { CantileverForce } from './CantileverForce';
import { HandToPad } from './HandToPad';

/** Force and travel of a brake that a cable works; nothing of one that nobody has said how it is worked. */
export function BrakeForce({ bicycle, send, place }: StageProps & { place: BrakePlace }) {
  const { kind } = bicycle;
  const end = place === 'brake.front' ? 'front' : 'rear';
  const isUnsaid = brakeOf(kind, end) === 'disc' && kind[`${end}Actuation`] === null;
  const brake = setBrakeOf(kind, end);
  if (isUnsaid || brake === 'disc-hydraulic' || brake === 'back-pedal') return null;
  return (
    <>
      {brake === 'cantilever' && <CantileverForce bicycle={bicycle} send={send} place={place} />}
      <HandToPad bicycle={bicycle} send={send} place={place} brake={brake} />
    </>
  );
}
