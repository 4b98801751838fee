/**
 * What a measure at a bearing can be, in words for the field that takes it: a hint, or null when it can. These catch slips
 * of the hand; what is merely unusual is taken.
 */

/** A ball of a bicycle, mm. Example: `ballHint(63.5)` asks to measure again. */
export function ballHint(mm: number): string | null {
  return mm < 1.5 || mm > 13 ? 'balls are about 2 to 10 mm: measure again' : null;
}

/** Outside of an axle's thread, mm. */
export function axleHint(mm: number): string | null {
  return mm < 5 || mm > 25 ? 'axles are about 7 to 20 mm over the thread' : null;
}

/** Thread pitch of an axle, mm. */
export function pitchHint(mm: number): string | null {
  return mm < 0.5 || mm > 2 ? 'pitches are 0.5 to 2 mm; 26 tpi is 0.977' : null;
}

/** Hole through an axle, mm: some metal must be left under the thread. */
export function boreHint(mm: number, axle: { majorMm: number; pitchMm: number }): string | null {
  return mm >= axle.majorMm - 0.9382 * axle.pitchMm - 0.1
    ? `a hole of ${mm} mm leaves no metal in an axle of ${axle.majorMm} mm`
    : null;
}

/** From cone to cone, mm. */
export function coneSpanHint(mm: number): string | null {
  return mm < 20 || mm > 250 ? 'cones stand 20 to 250 mm apart' : null;
}

/** Clamping force, N; 0 for nuts. */
export function clampHint(newton: number): string | null {
  return newton > 20_000 ? 'skewers reach about 2,000 to 6,000 N' : null;
}
