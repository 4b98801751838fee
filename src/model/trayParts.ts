import type { Tray } from './record';

type Slots = Pick<Tray, 'order' | 'backIn' | 'leftOff'>;

/** Whether a part's slot is closed: it is back in, or left off on purpose. */
export function isSettled(tray: Slots, part: string): boolean {
  return tray.backIn.includes(part) || tray.leftOff.includes(part);
}

/** The parts that came off and whose slot is open, in the order in which they came off. */
export function partsOff(tray: Slots): string[] {
  return tray.order.filter((part) => !isSettled(tray, part));
}
