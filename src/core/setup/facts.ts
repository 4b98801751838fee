import type * as z from 'zod/mini';
import type { houseRules } from '../bearings/gradeRules';
import { endOf, kindAt, type BicycleKind } from '../bicycle';
import type { Facts } from '../conditions';
import { cogsOf } from '../rebuild/buildFacts';
import { assembliesFor } from '../strip/assembly';
import { setBrakeOf, type SetBrake } from './kinds';

const NOT_BY_CABLE: readonly SetBrake[] = ['disc-hydraulic', 'back-pedal'];

/** Whether anything is pulled by the cables of a place. */
function isByCable(kind: BicycleKind, place: string): boolean {
  if (place === 'cables.gear') return kind.gears === 'derailleur' || kind.gears === 'hub';
  return (['front', 'rear'] as const).some((end) => !NOT_BY_CABLE.includes(setBrakeOf(kind, end)));
}

/** What a condition of the setting-up may speak of besides a bicycle's kind and the rules of the house. */
export const SET_FACTS = ['brake', 'byCable'] as const;

/** Of a place: what the bicycle is there, how its brake is worked, and how the house does it. Drop levers always hold. */
export function setupFacts(kind: BicycleKind, rules: z.output<typeof houseRules>, place: string): Facts {
  const end = endOf(place);
  return {
    ...kindAt(kind, place),
    ...rules,
    ...(kind.bars === 'drop' && { leverGrip: 'hold' }),
    brake: end && setBrakeOf(kind, end),
    byCable: isByCable(kind, place),
    cogsOn: kind.cogsOn ?? cogsOf(kind, assembliesFor(kind, {}).find((each) => each.place === 'hub.rear')?.id),
  };
}
