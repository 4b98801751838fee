import type { Bicycle } from '../record';
import { newTray } from './fresh';
import type { Tray } from './part';

/** The tray of a place, or an empty one that is not stored until something is put in it. */
export function trayFor(bicycle: Bicycle, place: string): Tray {
  return bicycle.trays.find((tray) => tray.place === place) ?? newTray(place);
}

/** Which assembly was found where, as far as it was said. */
export function chosenAssemblies(bicycle: Pick<Bicycle, 'trays'>): Record<string, string> {
  return Object.fromEntries(bicycle.trays.flatMap((tray) => (tray.assembly ? [[tray.place, tray.assembly]] : [])));
}

/** Every step of every tray that is done. */
export function doneSteps(bicycle: Bicycle): { place: string; step: string }[] {
  return bicycle.trays.flatMap((tray) => tray.doneSteps.map((step) => ({ place: tray.place, step })));
}

/** The tray that the work at a place goes through, as far as one end's or one side's parts come off together. */
export const trayOfJob = (place: string): string =>
  place.startsWith('pads.') ? place.replace('pads', 'brake') : place === 'crank.left' ? 'crank.right' : place;

type Slots = Pick<Tray, 'off' | 'backIn' | 'leftOff'>;

/** The parts that came off, in the order in which they did. */
export function orderOf({ off }: Pick<Tray, 'off'>): string[] {
  return Object.keys(off).sort((a, b) => off[a]! - off[b]! || (a < b ? -1 : 1));
}

/** Whether a part's slot is closed: it is back in, or left off on purpose. */
export function isSettled(tray: Pick<Tray, 'backIn' | 'leftOff'>, part: string): boolean {
  return tray.backIn.includes(part) || tray.leftOff.includes(part);
}

/** The parts that came off and whose slot is open, in the order in which they came off. */
export function partsOff(tray: Slots): string[] {
  return orderOf(tray).filter((part) => !isSettled(tray, part));
}
