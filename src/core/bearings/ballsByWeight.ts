/** Density of bearing steel, g/cm³. */
export const BALL_STEEL_G_PER_CM3 = 7.81;

/** Mass of one ball, π/6·d³·ρ, in grams. Example: `ballMassG(6.35)` is about 1.047. */
export function ballMassG(diameterMm: number): number {
  return (Math.PI / 6) * (diameterMm / 10) ** 3 * BALL_STEEL_G_PER_CM3;
}

export interface WeighedBalls {
  count: number;
  /** Share of a ball by which the scale is off a whole number, 0 to 0.5. */
  off: number;
  /** Whether the count can be trusted: near a whole number, and no worn or mixed balls. */
  sure: boolean;
}

/** A quarter of a ball off a whole number is dirt, another size, or a scale that is not at nought. */
const SURE_WITHIN = 0.2;

/**
 * How many balls lie on the scale: mass over the mass of one. Grease adds, so they are weighed clean. Example: nine of
 * 1/4 in weigh 9.4 g; `ballsByWeight(9.4, 6.35)` gives 9, sure.
 */
export function ballsByWeight(massG: number, diameterMm: number): WeighedBalls {
  const exact = massG / ballMassG(diameterMm);
  const count = Math.round(exact);
  const off = Math.abs(exact - count);
  return { count, off, sure: count > 0 && off <= SURE_WITHIN };
}
