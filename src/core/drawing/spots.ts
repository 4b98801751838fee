import { brakeOf, kindAt, type BicycleKind } from '../bicycle';
import { brakeAt } from './brakeAt';
import { along, between, shifted, type Point } from './points';
import { axleSpot, BAR_LEAN, CRANK_DEG, type Skeleton } from './skeleton';

/** Where each place of this bicycle lies. What the bicycle does not have is left out. */
export function spotsOf(
  kind: BicycleKind,
  s: Skeleton,
  drive: { ringMm: number; cogMm: number; cage: Point | null },
): Record<string, Point> {
  const near = (p: Point) => shifted(p, BAR_LEAN.x, BAR_LEAN.y);
  const away = (p: Point) => shifted(p, -BAR_LEAN.x, -BAR_LEAN.y);
  const c = s.bars;
  const grip = kind.bars === 'drop' ? [92, -68] : kind.bars === 'flat' ? [-20, 6] : [-130, 16];
  const lever = kind.bars === 'drop' ? [112, -14] : kind.bars === 'flat' ? [30, -50] : [-118, -12];
  const front = brakeOf(kind, 'front');
  const rear = brakeOf(kind, 'rear');
  const posts = front === 'cantilever' || front === 'direct-pull';
  const derailleur = kind.gears === 'derailleur';
  const geared = derailleur || kind.gears === 'hub';
  const rearBrake = brakeAt(kind, s, 'rear');
  const frontBrake = brakeAt(kind, s, 'front');
  const head = (share: number) => between(s.headLow, s.headTop, share);
  const wheel = (end: 'rear' | 'front', rim: number, tyre: number, spokes: number): Record<string, Point> => ({
    [`hub.${end}`]: s[end],
    [`rim.${end}`]: along(s[end], rim, s.rimMm[end] - 12),
    [`tyre.${end}`]: along(s[end], tyre, s.tyreMm[end] - kindAt(kind, `tyre.${end}`).tyreWidthMm / 2),
    [`spokes.${end}`]: along(s[end], spokes, s.rimMm[end] * 0.58),
  });
  const low = 0.2;
  const spots: Record<string, Point | null> = {
    ...wheel('rear', 212, 138, 176),
    ...wheel('front', -32, 24, -4),
    'axle.rear': axleSpot(s, 'rear'),
    'axle.front': axleSpot(s, 'front'),
    frame: between(s.bb, head(low), 0.4),
    'frame.underside': along(s.bb, -100, 62),
    fork: along(s.crown, s.steerDeg + 180, s.tyreMm.front * (posts ? 0.82 : front === 'disc' ? 0.45 : 0.64)),
    'headset.upper': along(s.headTop, s.steerDeg, 9),
    headset: head(0.46),
    'headset.lower': along(s.headLow, s.steerDeg, -7),
    stem: kind.stem === 'quill' ? between(s.stemTop, c, 0.25) : between(s.stemTop, c, 0.3),
    bars: c,
    'grip.left': away(shifted(c, grip[0]!, grip[1]!)),
    'grip.right': near(shifted(c, grip[0]!, grip[1]!)),
    'brake-lever.left': away(shifted(c, lever[0]!, lever[1]!)),
    'brake-lever.right': near(shifted(c, lever[0]!, lever[1]!)),
    'shifter.right': geared
      ? kind.bars === 'drop'
        ? between(s.bb, head(low), 0.62)
        : near(shifted(c, kind.bars === 'flat' ? 18 : 10, kind.bars === 'flat' ? -14 : 38))
      : null,
    'shifter.left': derailleur
      ? kind.bars === 'drop'
        ? between(s.bb, head(low), 0.74)
        : away(shifted(c, kind.bars === 'flat' ? 18 : 10, kind.bars === 'flat' ? -14 : 38))
      : null,
    'seat-post': between(s.seatTop, s.saddle, 0.52),
    'seat-clamp': s.seatTop,
    saddle: shifted(s.saddle, -4, 30),
    'brake.front': frontBrake.at,
    'brake.rear': rearBrake.at,
    'pads.front': front === 'drum' ? null : frontBrake.pads,
    'pads.rear': rear === 'drum' || rear === 'back-pedal' ? null : rearBrake.pads,
    'disc.front': front === 'disc' ? along(s.front, 70, 72) : null,
    'disc.rear': rear === 'disc' ? along(s.rear, 120, 72) : null,
    'bottom-bracket': s.bb,
    'crank.right': along(s.bb, CRANK_DEG, 96),
    'crank.left': along(s.bb, CRANK_DEG + 180, 96),
    'pedal.right': along(s.bb, CRANK_DEG, 170),
    'pedal.left': along(s.bb, CRANK_DEG + 180, 170),
    chainrings: along(s.bb, 52, drive.ringMm - 8),
    chain: between(along(s.rear, 90, drive.cogMm), along(s.bb, 90, drive.ringMm), 0.5),
    cogs: along(s.rear, 12, derailleur ? 66 : drive.cogMm),
    freehub: along(s.rear, 104, 29),
    'derailleur.rear': drive.cage,
    hanger: derailleur ? along(s.rear, -70, 44) : null,
    'derailleur.front': derailleur ? along(s.bb, 96, drive.ringMm + 12) : null,
    'cables.brake': shifted(c, 70, 54),
    'cables.gear': geared ? shifted(between(s.bb, s.rear, 0.42), 0, -28) : null,
    mudguards: kind.mudguards ? along(s.rear, 92, s.tyreMm.rear + 15) : null,
    rack: kind.rack ? { x: s.rear.x - 120, y: s.tyreMm.rear * 2 + 46 } : kind.basket ? shifted(c, 170, -10) : null,
    lights: kind.lights ? shifted(s.crown, 74, 36) : null,
    bell: shifted(c, -14, 34),
  };
  return Object.fromEntries(Object.entries(spots).filter((entry): entry is [string, Point] => entry[1] !== null));
}
