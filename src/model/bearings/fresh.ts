import type { Draft } from 'immer';
import type { Held } from '../fields';
import type { Bicycle } from '../record';
import type { Bearing, CartridgeNote, part, SideCount } from './part';

/** A row of balls that nobody has counted. */
export const UNCOUNTED: SideCount = { out: null, holds: null, in: null, answer: null };

/** A cartridge that nobody has measured. */
export const UNMEASURED: CartridgeNote = { boreMm: null, odMm: null, widthMm: null, print: '', fate: null };

/** A bearing that nobody has felt. */
export const UNFELT = { feel: 'unknown', play: 'unknown', spinS: null } as const;

/** A bearing of which nothing is known. */
export function newBearing(place: string): Bearing {
  return {
    place,
    balls: {},
    ballReadingsMm: [],
    instrument: 'caliper',
    overBallsMm: null,
    seen: { grease: 'unknown', cup: 'unknown', cone: 'unknown', balls: 'unknown', seal: 'unknown' },
    tracks: {},
    doneSteps: [],
    cartridges: {},
    ballsWere: null,
    round: {},
    runOn: false,
    service: { doneOn: null, grease: 'standard', seal: 'good' },
    axle: {},
    before: null,
    after: null,
    trials: [],
  };
}

/** The bearing of a place in a draft; one of which nothing is known is put there first where there is none. */
export function bearingIn(bicycle: Draft<Bicycle>, place: string): Draft<Bearing> {
  const found = bicycle.bearings.find((bearing) => bearing.place === place);
  if (found) return found;
  bicycle.bearings.push(newBearing(place));
  return bicycle.bearings.at(-1)!;
}

export const fresh = (): Held<typeof part> => ({ bearings: [] });
