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
    off: {},
    backIn: [],
    extra: [],
    marks: {},
    cleaned: [],
    hardened: {},
    leftOff: [],
    fates: {},
    soils: {},
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
