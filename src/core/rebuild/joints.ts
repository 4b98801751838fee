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

/** A compound as a bench speaks of it. */
export const COMPOUND_WORDS: Record<Compound, string> = {
  grease: 'Grease',
  'anti-seize': 'Anti-seize',
  'carbon-paste': 'Carbon paste',
  'threadlock-medium': 'Medium threadlock',
  dry: 'Nothing: clean and dry',
  oil: 'Oil',
};
