import type { BicycleKind } from '../bicycle';
import { along, between, curved, outline, polygon, polyline, shifted, type Point } from './points';
import { axleToSteering, type Skeleton } from './skeleton';
import { tube, fine, shape, type Stroke } from './strokes';

/** Blades and crown, or stanchions and lowers. */
export function fork(kind: BicycleKind, s: Skeleton): Stroke[] {
  if (kind.frame === 'full-suspension' || kind.fork === 'suspension') {
    const foot = along(s.front, s.steerDeg + 90, axleToSteering(s));
    const mid = between(foot, s.crown, 0.55);
    return [
      tube('fork-stanchion', 'fork', polyline(mid, s.crown), 26),
      tube('fork-lower', 'fork', polyline(s.front, foot, mid), 40),
      shape(
        'fork-crown',
        'fork',
        polygon(
          ...[-26, 26].flatMap((w, i) => {
            const base = along(s.crown, s.steerDeg + 90, w);
            return i === 0 ? [base, along(base, s.steerDeg, 26)] : [along(base, s.steerDeg, 26), base];
          }),
        ),
      ),
    ];
  }
  const axisAt = (up: number) => along(along(s.front, s.steerDeg + 90, axleToSteering(s)), s.steerDeg, up);
  return [
    tube('fork', 'fork', curved(s.front, axisAt(s.tyreMm.front * 0.2), axisAt(s.tyreMm.front * 0.5), s.crown), 21),
    shape(
      'fork-crown',
      'fork',
      polygon(
        ...[-17, 17].flatMap((w, i) => {
          const base = along(s.crown, s.steerDeg + 90, w);
          return i === 0
            ? [along(base, s.steerDeg, -18), along(base, s.steerDeg, 20)]
            : [along(base, s.steerDeg, 20), along(base, s.steerDeg, -18)];
        }),
      ),
    ),
  ];
}

/** The two rings of the headset. */
export function headset(s: Skeleton): Stroke[] {
  const ring = (id: string, part: string, at: Point, w: number, h: number) =>
    shape(
      id,
      part,
      polygon(
        along(along(at, s.steerDeg + 90, w), s.steerDeg, -h),
        along(along(at, s.steerDeg + 90, w), s.steerDeg, h),
        along(along(at, s.steerDeg - 90, w), s.steerDeg, h),
        along(along(at, s.steerDeg - 90, w), s.steerDeg, -h),
      ),
    );
  return [
    ring('headset-lower', 'headset.lower', along(s.headLow, s.steerDeg, -7), 22, 8),
    ring('headset-upper', 'headset.upper', along(s.headTop, s.steerDeg, 9), 22, 9),
  ];
}

/** Post, clamp and saddle. */
export function seat(s: Skeleton): Stroke[] {
  const p = s.saddle;
  const at = (x: number, y: number) => shifted(p, x, y);
  return [
    tube('post', 'seat-post', polyline(s.seatTop, at(0, 10)), 24),
    fine('rails', 'saddle', curved(at(-72, 30), at(-46, 12), at(46, 12), at(104, 30))),
    shape(
      'saddle',
      'saddle',
      outline(
        at(-128, 36),
        at(-96, 50),
        at(-20, 42),
        at(70, 40),
        at(146, 32),
        at(152, 22),
        at(96, 18),
        at(20, 20),
        at(-50, 12),
        at(-104, 10),
      ),
    ),
    shape(
      'seat-clamp',
      'seat-clamp',
      polygon(besideSeat(s, -19, -14), besideSeat(s, -19, 8), besideSeat(s, 19, 8), besideSeat(s, 19, -14)),
    ),
  ];
}

/** A point beside and above the seat tube's end. */
function besideSeat(s: Skeleton, across: number, up: number): Point {
  return along(along(s.seatTop, s.seatDeg - 90, across), s.seatDeg, up);
}
