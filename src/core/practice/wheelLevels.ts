/** The wheels of the practice room, each with what it suffers from. */
export const WHEEL_LEVELS = [
  { id: 'wheel-wobble', title: 'A wheel that wobbles', fault: 'wobble' },
  { id: 'wheel-hop', title: 'A wheel that hops', fault: 'hop' },
  { id: 'wheel-slack', title: 'A slack wheel', fault: 'slack' },
  { id: 'wheel-middle', title: 'A wheel off its middle', fault: 'middle' },
  { id: 'wheel-seized', title: 'One nipple that does not turn', fault: 'seized' },
  { id: 'wheel-dent', title: 'A wheel with a past', fault: 'dent' },
] as const;
export type WheelLevel = (typeof WHEEL_LEVELS)[number];

/** What somebody says of a wheel in the end. */
export const WHEEL_ANSWERS = ['true', 'metal'] as const;
export type WheelAnswer = (typeof WHEEL_ANSWERS)[number];

/** The wheel that stands in the practice room. Lengths in mm. */
export const PRACTICE_WHEEL = {
  spokes: 32,
  crossings: 3,
  rimRadiusMm: 300,
  flanges: { leftRadiusMm: 22.5, rightRadiusMm: 22.5, leftOffsetMm: 34, rightOffsetMm: 34 },
  rimClass: 'double-wall box alloy',
};

/** What the eye tells between two pads: to a fifth of a millimetre. */
const EYE_MM = 0.2;
export const byTheEye = (mm: number): number => Math.round(mm / EYE_MM) * EYE_MM;

/** What the ear tells of a plucked spoke beside the others of its side: a tenth is heard, less is not. */
export function byTheEar(tensionN: readonly number[], spoke: number): 'lower' | 'alike' | 'higher' {
  const side = tensionN.filter((_, i) => i % 2 === spoke % 2);
  // A tone goes with the root of the tension.
  const mean = side.reduce((sum, each) => sum + Math.sqrt(each), 0) / side.length;
  const share = Math.sqrt(tensionN[spoke] ?? 0) / mean;
  return share < 0.93 ? 'lower' : share > 1.07 ? 'higher' : 'alike';
}
