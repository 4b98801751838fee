import { brakeOf, type BicycleKind } from '../bicycle';

/** Brakes as far as their setting-up differs. */
export const SET_BRAKES = [
  'caliper',
  'cantilever',
  'direct-pull',
  'disc-cable',
  'disc-hydraulic',
  'drum',
  'back-pedal',
] as const;
export type SetBrake = (typeof SET_BRAKES)[number];

/** Fluids that never meet. */
export const FLUIDS = ['mineral', 'glycol'] as const;
export type Fluid = (typeof FLUIDS)[number];

/** The brake of one end as it is set up; a disc of which nobody said how it is worked is taken for a cable's. */
export function setBrakeOf(kind: BicycleKind, end: 'front' | 'rear'): SetBrake {
  const brake = brakeOf(kind, end);
  if (brake !== 'disc') return brake;
  const actuation = end === 'front' ? kind.frontActuation : kind.rearActuation;
  return actuation === 'hydraulic' ? 'disc-hydraulic' : 'disc-cable';
}
