import * as z from 'zod/mini';
import { parseTable } from '../table';
import placesJson from './places.json';
import statesJson from './states.json';

z.config({ jitless: true });

export const STATES = ['fine', 'watch', 'service', 'replace', 'unsafe', 'not-looked-at'] as const;
export type StateId = (typeof STATES)[number];

export const placeRow = z.strictObject({
  id: z.string(),
  label: z.string(),
  kind: z.enum(['frame', 'bearing', 'cockpit', 'brake', 'drivetrain', 'wheel', 'cables', 'fittings']),
  side: z.nullable(z.enum(['left', 'right'])),
});

const stateRow = z.strictObject({ id: z.enum(STATES), label: z.string(), rank: z.number() });

/** Every location on the bicycle, by id. */
export const places = parseTable(placeRow, placesJson);

/** Every state, with its word and how grave it is. */
export const states = parseTable(stateRow, statesJson);

/** The word for a place. Example: `placeLabel('hub.front')` is "Front hub". */
export function placeLabel(id: string): string {
  return places.find((place) => place.id === id)?.label ?? id;
}

/** A place of the vocabulary by an id from outside, such as an address; null where there is none of that name. */
export function knownPlace(id: string | null): string | null {
  return places.some((place) => place.id === id) ? id : null;
}

/** Whether a place is a bearing. */
export function isBearing(id: string): boolean {
  return places.some((place) => place.id === id && place.kind === 'bearing');
}

/** The place whose bearing is set for this one: both ends of a headset are one. Example: `headset.lower` → `headset`. */
export function bearingAt(id: string): string {
  return id.startsWith('headset.') ? 'headset' : id;
}

/** The word for a state. */
export function stateLabel(id: StateId): string {
  return states.find((state) => state.id === id)!.label;
}

/** Which of two states is graver; "not looked at" is never graver than a finding. */
export function stateRank(id: StateId): number {
  return states.find((state) => state.id === id)!.rank;
}
