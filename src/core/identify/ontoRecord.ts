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

/** Where and with what readings it was told. */
export interface Told {
  place: string;
  readings: Readonly<Record<string, number | string | undefined>>;
}

const AXLE_OF: Record<string, BicycleKind['wheels']> = { solid: 'nutted', hollow: 'quick-release' };
const COGS_OF: Record<string, BicycleKind['cogsOn']> = {
  freewheel: 'freewheel',
  'fixed-cog': 'fixed',
  lockring: 'fixed',
};

/**
 * What a found standard and its readings say of the bicycle itself: the hand of its drive-side cup hangs on it, its wheels,
 * its stem, what its cogs sit on. Of wheels that differ each end has a size of its own.
 * Example: a hollow axle at the front of a nutted bicycle → `{ frontAxle: 'quick-release' }`.
 */
export function kindFrom(
  kind: IdentifyKind,
  standard: string,
  { place, readings }: Told,
  now: Pick<BicycleKind, 'beadSeatMm' | 'wheels'>,
): Partial<BicycleKind> {
  const end = place.endsWith('.rear') ? 'rear' : 'front';
  switch (kind) {
    case 'bottom-bracket':
      return standard in BOTTOM_BRACKETS ? { bottomBracket: BOTTOM_BRACKETS[standard] } : {};
    case 'stem':
      return { stem: 'quill' };
    case 'headset':
      return readings.pitchMm === undefined ? {} : { stem: 'quill' };
    case 'hub-axle': {
      const axle = AXLE_OF[String(readings.axle)];
      return axle ? { [`${end}Axle`]: axle === now.wheels ? null : axle } : {};
    }
    case 'freewheel': {
      const cogsOn = COGS_OF[String(readings.what)];
      return cogsOn ? { cogsOn } : {};
    }
    case 'wheel-size': {
      const mm = Number.parseInt(standard, 10);
      return mm >= 200 && mm <= 700 ? { [`${end}BeadSeatMm`]: mm === now.beadSeatMm ? null : mm } : {};
    }
    default:
      return {};
  }
}
