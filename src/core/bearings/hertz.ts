/**
 * A steel ball pressed against a track, after Hertz with the closed forms of Brewe and Hamrock (1977), good to a few per
 * cent: κ = 1.0339·(Ry/Rx)^0.636, E = 1.0003 + 0.5968·Rx/Ry, F = 1.5277 + 0.6023·ln(Ry/Rx).
 */
const STEEL_MPA = 206_000;
const POISSON = 0.3;
/** Effective modulus of two like bodies: E′ = E / (1 − ν²). */
const EFFECTIVE_MPA = STEEL_MPA / (1 - POISSON ** 2);

export interface Track {
  ballMm: number;
  /** Diameter of the circle through the middles of the balls. */
  circleMm: number;
  contactDeg: number;
  /** Radius of the track across the rolling as a share of the ball's diameter; 0.5 would hug it. */
  osculation: number;
  side: 'cone' | 'cup';
}

interface Shape {
  radiusMm: number;
  kappa: number;
  e: number;
  f: number;
}

function shapeOf({ ballMm, circleMm, contactDeg, osculation, side }: Track): Shape {
  const gamma = (ballMm * Math.cos((contactDeg * Math.PI) / 180)) / circleMm;
  const along = side === 'cone' ? (2 * gamma) / (1 - gamma) : (-2 * gamma) / (1 + gamma);
  const rx = 1 / ((2 + along) / ballMm);
  const ry = 1 / (2 / ballMm - 1 / (osculation * ballMm));
  const ratio = ry / rx;
  return {
    radiusMm: 1 / (1 / rx + 1 / ry),
    kappa: 1.0339 * ratio ** 0.636,
    e: 1.0003 + 0.5968 / ratio,
    f: 1.5277 + 0.6023 * Math.log(ratio),
  };
}

/**
 * The highest pressure under a ball, MPa: p = 3Q / (2π·a·b), a, b the half axes of the contact.
 * Example: 100 N on a 4.7625 mm ball in a front hub's cone → some 2,000 MPa.
 */
export function pressureMPa(track: Track, loadN: number): number {
  if (loadN <= 0) return 0;
  const { radiusMm, kappa, e } = shapeOf(track);
  const a = ((6 * kappa ** 2 * e * loadN * radiusMm) / (Math.PI * EFFECTIVE_MPA)) ** (1 / 3);
  return (3 * loadN) / (2 * Math.PI * a * (a / kappa));
}

/** How far ball and track approach, mm per N^⅔: δ = K·Q^⅔. */
export function approachPerLoad(track: Track): number {
  const { radiusMm, kappa, e, f } = shapeOf(track);
  return f * (9 / (2 * e * radiusMm * (Math.PI * kappa * EFFECTIVE_MPA) ** 2)) ** (1 / 3);
}
