import type { Way } from '@/core/drive/shifts';
import type { ShiftRound } from '@/model/drive/part';

/** One shift of a round: which cog it arrives at, and from where. */
export interface Shift {
  gear: number;
  way: Way;
}

/** The shifts of a round as a hand goes through them: from the smallest cog to the largest, and back. */
export const shiftsOf = (cogs: number): Shift[] => [
  ...Array.from({ length: cogs - 1 }, (_, i): Shift => ({ gear: i + 2, way: 'toLarger' })),
  ...Array.from({ length: cogs - 1 }, (_, i): Shift => ({ gear: cogs - 1 - i, way: 'toSmaller' })),
];

/** How a shift of a round was felt; null where it was not. */
export const feltAt = (round: ShiftRound | null, { gear, way }: Shift) =>
  round?.gears.find((each) => each.gear === gear)?.[way] ?? null;

/** Where a hand goes on: the first shift that was not felt; null where all were. */
export const nextShift = (round: ShiftRound | null, cogs: number): Shift | null =>
  shiftsOf(cogs).find((shift) => feltAt(round, shift) === null) ?? null;

/** Whether a round has told enough to be advised from: as many shifts as there are steps between cogs, and both ways among them. */
export function tellsEnough(round: ShiftRound | null, cogs: number): boolean {
  const felt = shiftsOf(cogs).filter((shift) => feltAt(round, shift) !== null);
  return felt.length >= cogs - 1 && new Set(felt.map(({ way }) => way)).size === 2;
}

export const sameShift = (a: Shift | null, b: Shift | null): boolean => a?.gear === b?.gear && a?.way === b?.way;

/** A shift in words. Example: "to a larger cog, the third". */
export const shiftWords = ({ gear, way }: Shift): string =>
  `${way === 'toLarger' ? 'To a larger cog' : 'To a smaller cog'}: gear ${gear}`;
