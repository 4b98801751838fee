/** A click wrench, made up: it lets go at its figure when it is pulled slowly, and past it when it is pulled fast. */

/** How far off its own scale it may be, either way. */
export const OFF_SCALE = 0.02;
/** Pulled over this long it lets go where it should. */
export const SLOW_S = 1.2;
/** How far past its figure a pull of no time at all would take it. */
const MOST_PAST = 0.25;

/**
 * The torque on the bolt when the wrench has clicked: set · (1 + scale) · (1 + past), past falling from a quarter to nothing
 * as the pull lasts up to 1.2 s. Units: N·m, s; `scale` lies between −1 and 1, the same for the same wrench. Errors: none.
 * Example: set to 10, pulled over 0.6 s: 11.25 N·m.
 */
export function clickedNm(setNm: number, pullS: number, scale = 0): number {
  const past = MOST_PAST * Math.max(0, 1 - pullS / SLOW_S);
  return setNm * (1 + OFF_SCALE * scale) * (1 + past);
}
