import type { SetBrake } from '../setup/kinds';

/** What pads work on: a rim of aluminium or of steel, a disc, a drum. */
export const BRAKED_ON = ['aluminium', 'steel', 'disc', 'drum'] as const;
export type BrakedOn = (typeof BRAKED_ON)[number];

/** A rim's metals, which a person tells apart. */
export const RIM_METALS = ['aluminium', 'steel'] as const;
export type RimMetal = (typeof RIM_METALS)[number];

/** On what a brake works, with the metal of its rim where that was said; of a rim that nobody looked at it is aluminium. */
export function brakedOn(brake: SetBrake, rim: RimMetal | null): BrakedOn {
  if (brake === 'disc-cable' || brake === 'disc-hydraulic') return 'disc';
  if (brake === 'drum' || brake === 'back-pedal') return 'drum';
  return rim ?? 'aluminium';
}
