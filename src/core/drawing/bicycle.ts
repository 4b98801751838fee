import type { BicycleKind } from '../bicycle';
import { brakes } from './brakeLines';
import { cockpit } from './cockpit';
import { crank, drive } from './drive';
import { cables, fittings, hub } from './fittings';
import { fork, headset, seat } from './forkAndSeat';
import { frameTubes } from './frame';
import { along, circle, polyline, type Point } from './points';
import { skeletonOf } from './skeleton';
import { spotsOf } from './spots';
import { shape, type Stroke } from './strokes';

export interface BicycleGeometry {
  widthMm: number;
  heightMm: number;
  wheels: {
    end: 'rear' | 'front';
    centre: Point;
    tyreRadiusMm: number;
    rimRadiusMm: number;
    spokes: string;
  }[];
  /** In the order in which they are painted. */
  strokes: Stroke[];
  /** Where each place of the vocabulary lies, for marks and hot spots; only what this bicycle has. */
  spots: Record<string, Point>;
  /** Centre and radius of ring and cog, on which the chain lies. */
  ring: { centre: Point; radiusMm: number };
  cog: { centre: Point; radiusMm: number };
}

/** Tangent spokes, crossed: each from the hub's flange to the rim, as one path. */
function spokesOf(centre: Point, rimMm: number): string {
  const count = rimMm > 240 ? 36 : 28;
  const flange = 21;
  const lean = rimMm > 240 ? 58 : 44;
  return Array.from({ length: count }, (_, i) => {
    const at = (i * 360) / count;
    const from = at + (i % 2 ? lean : -lean);
    return polyline(along(centre, from, flange), along(centre, at, rimMm - 16));
  }).join('');
}

/**
 * A bicycle as lines, seen from the drive side, built from its numbers. Ground at y = 0, y upwards, millimetres.
 *
 * Laws: both wheels stand on the ground; the chain's runs touch ring and cog; what is on the left and on the right is
 * mirrored; every place lies within its part. Source: usual proportions of each kind of frame.
 * Example: `bicycleGeometry(bicycleKind.parse({ frame: 'mixte' })).spots['hub.front']` is the front axle.
 */
export function bicycleGeometry(kind: BicycleKind): BicycleGeometry {
  const s = skeletonOf(kind);
  const d = drive(kind, s);
  const wheel = (end: 'rear' | 'front') => ({
    end,
    centre: s[end],
    tyreRadiusMm: s.tyreMm[end],
    rimRadiusMm: s.rimMm[end],
    spokes: spokesOf(s[end], s.rimMm[end]),
  });
  const cockpitLines = cockpit(kind, s);
  return {
    widthMm: Math.max(s.front.x + s.tyreMm.front + 60, kind.basket ? s.bars.x + 300 : s.bars.x + 160),
    heightMm: Math.max(s.bars.y + 84, s.saddle.y + 80, s.bars.y + (kind.basket ? 140 : 0)),
    wheels: [wheel('rear'), wheel('front')],
    strokes: [
      ...fittings(kind, s).filter((line) => line.part !== 'rack'),
      ...cockpitLines.filter((line) => line.far),
      ...crank(s, 'left'),
      ...fork(kind, s),
      ...frameTubes(kind, s),
      shape('shell', 'bottom-bracket', circle(s.bb, 27)),
      ...headset(s),
      ...seat(s),
      ...fittings(kind, s).filter((line) => line.part === 'rack'),
      ...brakes(kind, s),
      shape('hub-rear', 'hub.rear', circle(s.rear, 24)),
      ...hub(kind, s, 'front'),
      ...d.strokes,
      ...hub(kind, s, 'rear').slice(1),
      ...crank(s, 'right'),
      shape('bb-cap', 'bottom-bracket', circle(s.bb, 14)),
      ...cables(kind, s),
      ...cockpitLines.filter((line) => !line.far),
    ],
    spots: spotsOf(kind, s, d),
    ring: { centre: s.bb, radiusMm: d.ringMm },
    cog: { centre: s.rear, radiusMm: d.cogMm },
  };
}
