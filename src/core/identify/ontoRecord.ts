import type { BicycleKind } from '../bicycle';
import type { IdentifyKind } from './readings';

/** Where on a bicycle each kind belongs; the first is the usual one. */
export const PLACES_OF: Record<IdentifyKind, string[]> = {
  'bottom-bracket': ['bottom-bracket'],
  headset: ['headset'],
  'hub-axle': ['hub.front', 'hub.rear'],
  freewheel: ['cogs'],
  pedal: ['pedal.left', 'pedal.right'],
  'seat-post': ['seat-post'],
  handlebar: ['bars'],
  stem: ['stem'],
  'wheel-size': ['tyre.front', 'tyre.rear'],
  spoke: ['spokes.front', 'spokes.rear'],
};

const BOTTOM_BRACKETS: Record<string, BicycleKind['bottomBracket']> = {
  'english-iso-thread': 'english',
  'english-iso-thread-wide-shells': 'english',
  'italian-thread': 'italian',
  'french-thread': 'french',
  'swiss-thread': 'swiss',
  'old-british-26-tpi-1-3-8-in': 'british-26',
};

/** What a found standard says of the bicycle itself: the hand of its drive-side cup hangs on it, and its wheel size. */
export function kindFrom(kind: IdentifyKind, standard: string): Partial<BicycleKind> {
  if (kind === 'bottom-bracket' && standard in BOTTOM_BRACKETS) return { bottomBracket: BOTTOM_BRACKETS[standard] };
  const beadSeatMm = kind === 'wheel-size' ? Number.parseInt(standard, 10) : Number.NaN;
  return beadSeatMm >= 200 && beadSeatMm <= 700 ? { beadSeatMm } : {};
}
