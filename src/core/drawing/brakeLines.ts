import { brakeOf, type BicycleKind } from '../bicycle';
import { brakeAt } from './brakeAt';
import { along, circle, curved, heading, polygon, polyline, type Point } from './points';
import type { Skeleton } from './skeleton';
import { tube, thin, fine, shape, solid, type Stroke } from './strokes';

/** Both brakes, of whatever kind. */
export function brakes(kind: BicycleKind, s: Skeleton): Stroke[] {
  return (['rear', 'front'] as const).flatMap((end): Stroke[] => {
    const wheel = end === 'front' ? s.front : s.rear;
    const { at, pads } = brakeAt(kind, s, end);
    const brake = brakeOf(kind, end);
    if (brake === 'disc')
      return [
        fine(`disc-${end}`, `disc.${end}`, circle(wheel, 80) + circle(wheel, 64)),
        ...[0, 1, 2, 3, 4, 5].map((i) =>
          fine(
            `disc-arm-${end}-${i}`,
            `disc.${end}`,
            polyline(along(wheel, i * 60, 24), along(wheel, i * 60 + 26, 65)),
          ),
        ),
        tube(
          `caliper-${end}`,
          `brake.${end}`,
          polyline(along(at, heading(wheel, at) - 90, 22), along(at, heading(wheel, at) + 90, 22)),
          26,
        ),
        solid(`pads-${end}`, `pads.${end}`, circle(pads, 6)),
      ];
    if (brake === 'drum' || brake === 'back-pedal')
      return [
        shape(`drum-${end}`, `brake.${end}`, circle(wheel, brake === 'drum' ? 46 : 33)),
        tube(
          `reaction-${end}`,
          `brake.${end}`,
          polyline(along(wheel, 156, 34), along(wheel, end === 'front' ? 104 : 158, 96)),
          11,
        ),
      ];
    const down = heading(at, pads);
    if (brake === 'caliper')
      return [
        thin(
          `caliper-${end}`,
          `brake.${end}`,
          curved(along(at, down + 180, 26), along(at, down + 90, 18), along(pads, down + 90, 8)),
        ),
        thin(
          `caliper-b-${end}`,
          `brake.${end}`,
          curved(along(at, down + 180, 26), along(at, down - 90, 18), along(pads, down - 90, 8)),
        ),
        solid(`pads-${end}`, `pads.${end}`, padAt(wheel, pads)),
      ];
    const arm = brake === 'cantilever' ? 64 : 104;
    return [
      tube(
        `arm-${end}`,
        `brake.${end}`,
        polyline(at, along(at, heading(wheel, at) + (end === 'front' ? -6 : 6), arm)),
        13,
      ),
      solid(`stud-${end}`, `brake.${end}`, circle(at, 6)),
      solid(`pads-${end}`, `pads.${end}`, padAt(wheel, pads)),
    ];
  });
}

/** A pad as a short block along the rim. */
function padAt(wheel: Point, pads: Point): string {
  const out = heading(wheel, pads);
  const a = along(pads, out + 90, 26);
  const b = along(pads, out - 90, 26);
  return polygon(along(a, out, -6), along(a, out, 6), along(b, out, 6), along(b, out, -6));
}
