import { brakeOf, type BicycleKind } from '../bicycle';
import { along, between, heading, type Point } from './points';
import { axleToSteering, type Skeleton } from './skeleton';

/** Where the brake of one end sits, and where its pads touch. */
export function brakeAt(kind: BicycleKind, s: Skeleton, end: 'front' | 'rear'): { at: Point; pads: Point } {
  const brake = brakeOf(kind, end);
  if (brake === 'disc') {
    const wheel = end === 'front' ? s.front : s.rear;
    const at = along(wheel, end === 'front' ? 128 : 62, 92);
    return { at, pads: along(wheel, end === 'front' ? 150 : 40, 78) };
  }
  if (brake === 'drum' || brake === 'back-pedal') {
    const wheel = end === 'front' ? s.front : s.rear;
    return { at: along(wheel, end === 'front' ? 150 : 150, 58), pads: along(wheel, 150, 58) };
  }
  const posts = brake === 'cantilever' || brake === 'direct-pull';
  const [rimMm, tyreMm] = [s.rimMm[end], s.tyreMm[end]];
  if (end === 'front') {
    const foot = along(s.front, s.steerDeg + 90, axleToSteering(s));
    const at = posts
      ? along(along(foot, s.steerDeg, rimMm - 34), s.steerDeg - 90, 16)
      : along(along(foot, s.steerDeg, tyreMm + 20), s.steerDeg - 90, 24);
    return { at, pads: along(along(foot, s.steerDeg, rimMm - 6), s.steerDeg - 90, 26) };
  }
  const up = kind.frame === 'small-wheel' || kind.frame === 'long-tail' ? between(s.bb, s.seatTop, 0.6) : s.cluster;
  const stay = heading(s.rear, up);
  const at = posts
    ? along(along(s.rear, stay, rimMm - 34), stay + 90, 18)
    : along(along(s.rear, stay, tyreMm + 20), stay + 90, 20);
  return { at, pads: along(along(s.rear, stay, rimMm - 6), stay + 90, 30) };
}
