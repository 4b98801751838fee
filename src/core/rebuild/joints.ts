/** Where two parts meet and something goes between. */
export const JOINTS = [
  'seat-post',
  'bar-clamp',
  'quill',
  'steerer-clamp',
  'pedal',
  'square-taper',
  'crank-bolt',
  'english-cup',
  'italian-cup',
  'press-fit-cup',
  'headset-cup',
  'bottle-boss',
  'skewer',
  'thru-axle',
  'cassette-body',
  'freewheel',
  'chainring-bolt',
  'pulley-bolt',
  'rotor-bolt',
  'caliper-bolt',
  'suspension-pivot',
  'brake-stud',
  'cable-adjuster',
  'nipple',
] as const;
export type Joint = (typeof JOINTS)[number];

export const COMPOUNDS = ['grease', 'anti-seize', 'carbon-paste', 'threadlock-medium', 'dry', 'oil'] as const;
export type Compound = (typeof COMPOUNDS)[number];
