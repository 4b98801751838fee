import { atLeast } from '../numbers';

/** What is said of a bore that is not under its outside: the jaws were read the wrong way round. */
export const SWAPPED = 'bore and outside are swapped: the bore is the smaller of the two';

/** A bore that is not under its outside belongs to no bearing. Example: `isSwapped(28, 15)` is true. */
export const isSwapped = (boreMm: number | null, odMm: number | null): boolean =>
  boreMm !== null && odMm !== null && atLeast(boreMm, odMm);
