import type { WheelReading } from './part';

export type ReadQuantity = 'lateralMm' | 'radialMm' | 'tensionN' | 'toneHz';

/** What was read of each spoke; null where it was not. */
export const readOf = (reading: WheelReading, quantity: ReadQuantity): readonly (number | null)[] =>
  reading[quantity] ?? reading.lateralMm.map(() => null);

/** A reading with one spoke more, or put right. */
export function readOne(reading: WheelReading, quantity: ReadQuantity, spoke: number, value: number): WheelReading {
  return { ...reading, [quantity]: readOf(reading, quantity).map((each, i) => (i === spoke ? value : each)) };
}

/** A reading that was begun and has nothing yet. */
export function emptyReading(of: Pick<WheelReading, 'id' | 'at' | 'by' | 'end'>, spokes: number): WheelReading {
  return { ...of, lateralMm: Array.from({ length: spokes }, () => null), dishMm: null };
}
