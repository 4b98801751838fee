import type { Draft } from 'immer';
import type { Held } from '../fields';
import type { Bicycle } from '../record';
import type { part, Tray } from './part';

/** An empty tray for an assembly. */
export function newTray(place: string): Tray {
  return {
    place,
    assembly: null,
    doneSteps: [],
    order: [],
    backIn: [],
    balls: {},
    extra: [],
    marks: {},
    cleaned: [],
    hardened: {},
    leftOff: [],
    fates: {},
    ballReadingsMm: [],
    instrument: 'caliper',
    overBallsMm: null,
    seen: { grease: 'unknown', cup: 'unknown', cone: 'unknown', balls: 'unknown', seal: 'unknown' },
    tracks: {},
    worked: [],
    cartridges: {},
    ballsWere: null,
    round: {},
    runOn: false,
    service: { doneOn: null, grease: 'standard', seal: 'good' },
    axle: {},
    soils: {},
    before: null,
    after: null,
    trials: [],
  };
}

/** The tray of a place in a draft; an empty one is put there first where there is none. */
export function trayIn(bicycle: Draft<Bicycle>, place: string): Draft<Tray> {
  const found = bicycle.trays.find((tray) => tray.place === place);
  if (found) return found;
  bicycle.trays.push(newTray(place));
  return bicycle.trays.at(-1)!;
}

export const fresh = (): Held<typeof part> => ({ trays: [], seized: [], tricks: [] });
