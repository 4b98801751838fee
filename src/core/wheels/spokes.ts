/** A wheel as far as its spokes go. Lengths in mm; left is +. */
export interface Laced {
  spokes: number;
  crossings: number;
  /** The first spoke from the valve hole is of the left side; mirrored, of the right. */
  mirrored: boolean;
  rimRadiusMm: number;
  flanges: { leftRadiusMm: number; rightRadiusMm: number; leftOffsetMm: number; rightOffsetMm: number };
}

export interface Spoke {
  side: 'left' | 'right';
  lengthMm: number;
  /** From nipple to hub: radial (outwards +), tangential, lateral (left +). */
  towards: [number, number, number];
  /** Where its nipple sits, radians from the valve hole. */
  atRad: number;
}

/** The side of a spoke, counted from the valve hole from nought. */
export const sideOf = ({ mirrored }: Pick<Laced, 'mirrored'>, spoke: number): 'left' | 'right' =>
  (spoke % 2 === 0) === mirrored ? 'right' : 'left';

/** How long a spoke is from nipple to hole: √(R² + r² + w² − 2Rr·cos(4π·crossings/spokes)). */
export function lengthMm(
  { spokes, crossings, rimRadiusMm }: Laced,
  flange: { radiusMm: number; offsetMm: number },
): number {
  const angle = (4 * Math.PI * crossings) / spokes;
  const { radiusMm: r, offsetMm: w } = flange;
  return Math.sqrt(rimRadiusMm ** 2 + r ** 2 + w ** 2 - 2 * rimRadiusMm * r * Math.cos(angle));
}

export const flangeOf = ({ flanges }: Laced, side: 'left' | 'right') =>
  side === 'left'
    ? { radiusMm: flanges.leftRadiusMm, offsetMm: flanges.leftOffsetMm }
    : { radiusMm: flanges.rightRadiusMm, offsetMm: flanges.rightOffsetMm };

/** Every spoke with its direction: by turns one of each side, and on each side by turns one that leads and one that trails. */
export function spokesOf(wheel: Laced): Spoke[] {
  const { spokes, crossings, rimRadiusMm } = wheel;
  return Array.from({ length: spokes }, (_, i) => {
    const side = sideOf(wheel, i);
    const { radiusMm, offsetMm } = flangeOf(wheel, side);
    const leads = Math.floor(i / 2) % 2 === 0 ? 1 : -1;
    const angle = (leads * 4 * Math.PI * crossings) / spokes;
    const way = [
      radiusMm * Math.cos(angle) - rimRadiusMm,
      radiusMm * Math.sin(angle),
      side === 'left' ? offsetMm : -offsetMm,
    ] as const;
    const length = Math.hypot(...way);
    return {
      side,
      lengthMm: length,
      towards: [way[0] / length, way[1] / length, way[2] / length],
      atRad: (2 * Math.PI * i) / spokes,
    };
  });
}
