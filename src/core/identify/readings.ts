export const KINDS = [
  'bottom-bracket',
  'headset',
  'hub-axle',
  'freewheel',
  'pedal',
  'seat-post',
  'handlebar',
  'stem',
  'wheel-size',
  'spoke',
] as const;
export type IdentifyKind = (typeof KINDS)[number];

/** A reading that a kind is told by: a length with its usual standard error, or one of some words. */
export type ReadingField =
  | { field: string; label: string; sigmaMm: number; how: string }
  | { field: string; label: string; words: string[]; how: string };

const PITCH: ReadingField = {
  field: 'pitchMm',
  label: 'thread pitch',
  sigmaMm: 0.02,
  how: 'the thread gauge, or a rule over many turns',
};
const across = (label: string, sigmaMm: number, how: string, field = 'diameterMm'): ReadingField => ({
  field,
  label,
  sigmaMm,
  how,
});

/** The readings of each kind in the order in which a hand takes them. */
export const READINGS: Record<IdentifyKind, ReadingField[]> = {
  'bottom-bracket': [
    across('diameter', 0.1, 'the cup over its thread, or the bore of the bare shell'),
    PITCH,
    across('shell width', 0.3, 'the shell alone, face to face', 'shellWidthMm'),
    {
      field: 'driveHand',
      label: 'hand of the drive-side thread',
      words: ['left', 'right', 'none'],
      how: 'look at the visible end of the thread: does it climb to the left or to the right',
    },
  ],
  headset: [
    across('steerer', 0.1, 'outside, over the thread where there is one', 'steererMm'),
    PITCH,
    across('crown race', 0.05, 'the bore of the race, or its seat on the fork', 'crownRaceMm'),
    across('head tube', 0.1, 'inside, where the cup is pressed in', 'headTubeMm'),
  ],
  'hub-axle': [
    across('axle', 0.1, 'over the thread'),
    PITCH,
    across('over locknuts', 1, 'from locknut to locknut, outside', 'overLocknutMm'),
    { field: 'axle', label: 'axle', words: ['solid', 'hollow'], how: 'look in at its end: is it bored through' },
  ],
  freewheel: [
    across('thread', 0.1, 'over the thread of the hub'),
    PITCH,
    {
      field: 'what',
      label: 'kind of part that screws on',
      words: ['freewheel', 'fixed-cog', 'lockring'],
      how: 'a freewheel turns freely one way; a fixed cog does not; a lockring sits outside the cog',
    },
    { field: 'hand', label: 'hand of the thread', words: ['left', 'right'], how: 'see which way the thread climbs' },
  ],
  pedal: [across('spindle thread', 0.1, 'over the thread'), PITCH],
  'seat-post': [across('post', 0.05, 'well below the clamp, in two directions')],
  handlebar: [
    across('bar', 0.05, 'over the bare metal'),
    {
      field: 'at',
      label: 'place of the measurement',
      words: ['clamp', 'grip'],
      how: 'in the stem, or where the grip sits',
    },
  ],
  stem: [across('quill', 0.05, 'below the top, clear of the wedge slot')],
  'wheel-size': [
    across(
      'bead seat',
      1.5,
      'across the rim where the tyre bead sits, or the circumference there over 3.1416',
      'beadSeatMm',
    ),
  ],
  spoke: [
    across('thickness at the elbow', 0.03, 'just below the elbow'),
    across('thickness in the middle', 0.03, 'half-way along', 'middleMm'),
  ],
};
