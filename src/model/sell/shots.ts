import type { Bicycle } from '../record';

/** The photographs that sell a bicycle, in the order that they are looked at; the serial number stays in the file. */
export const SHOTS = [
  {
    id: 'drive-side',
    label: 'Drive side, square on',
    place: 'frame',
    goesOut: true,
    how: 'Wiped and polished, cranks level, the camera as high as the bottom bracket.',
  },
  {
    id: 'three-quarter',
    label: 'Three quarters from the front',
    place: 'frame',
    goesOut: true,
    how: 'From ahead and a little to the drive side.',
  },
  {
    id: 'cockpit',
    label: 'Cockpit',
    place: 'bars',
    goesOut: true,
    how: 'From where the rider sits: bars, levers, stem.',
  },
  {
    id: 'drivetrain',
    label: 'Drivetrain',
    place: 'chainrings',
    goesOut: true,
    how: 'Close, from the drive side: rings, chain, cogs.',
  },
  { id: 'wheel-front', label: 'Front wheel', place: 'rim.front', goesOut: true, how: 'Rim, tyre and brake.' },
  { id: 'wheel-rear', label: 'Rear wheel', place: 'rim.rear', goesOut: true, how: 'Rim, tyre and cogs.' },
  { id: 'flaws', label: 'The flaws', place: 'frame', goesOut: true, how: 'Each by itself, close enough to be judged.' },
  { id: 'serial', label: 'Serial number', place: 'bottom-bracket', goesOut: false, how: 'For the file only.' },
] as const;
export type ShotId = (typeof SHOTS)[number]['id'];

const PREFIX = 'shot-';
/** Under which step a shot’s photographs lie; `before` is the same view when it came. */
export const shotStep = (shot: ShotId, when: 'now' | 'before' = 'now'): string =>
  `${PREFIX}${shot}${when === 'before' ? '-before' : ''}`;

/** The last photograph of a shot, or null. */
export function shotOf({ photos }: Pick<Bicycle, 'photos'>, shot: ShotId, when: 'now' | 'before' = 'now') {
  return photos.findLast(({ step }) => step === shotStep(shot, when)) ?? null;
}

/** Shots that are missing, the first to be taken first. */
export const missingShots = (bicycle: Pick<Bicycle, 'photos'>) =>
  SHOTS.filter(({ id }) => shotOf(bicycle, id) === null);

/** Every photograph that goes out with the listing, in order. */
export function shotsInOrder({ photos }: Pick<Bicycle, 'photos'>): { id: string; shot: ShotId }[] {
  return SHOTS.filter(({ goesOut }) => goesOut).flatMap(({ id: shot }) =>
    photos.filter(({ step }) => step === shotStep(shot)).map(({ id }) => ({ id, shot })),
  );
}
