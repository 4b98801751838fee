import type { BicycleKind } from '../bicycle';
import { along, between, circle, curved, heading, polyline, shifted, type Point } from './points';
import type { Skeleton } from './skeleton';
import { tube, fine, shape, type Stroke } from './strokes';

/** The tubes of each kind of frame, in the order in which they are painted. */
export function frameTubes(kind: BicycleKind, s: Skeleton): Stroke[] {
  const head = (share: number) => between(s.headLow, s.headTop, share);
  const t = (id: string, widthMm: number, ...points: Point[]) => tube(id, 'frame', polyline(...points), widthMm);
  const headTube = tube('head-tube', 'frame', polyline(s.headLow, s.headTop), 36);
  const seatTube = t('seat-tube', 29, s.bb, s.seatTop);
  const chainstay = t('chainstay', 17, s.rear, s.bb);
  const seatstay = t('seatstay', 14, s.rear, s.cluster);
  switch (kind.frame) {
    case 'diamond':
      return [
        seatstay,
        chainstay,
        t('top-tube', 26, s.cluster, head(0.8)),
        t('down-tube', 30, s.bb, head(0.2)),
        seatTube,
        headTube,
      ];
    case 'mixte': {
      const middle = between(s.bb, s.seatTop, 0.52);
      return [
        seatstay,
        chainstay,
        t('lateral-far', 12, shifted(head(0.72), -6, 9), shifted(middle, 4, 10), s.rear),
        t('lateral', 12, head(0.66), middle, s.rear),
        t('down-tube', 30, s.bb, head(0.18)),
        seatTube,
        headTube,
      ];
    }
    case 'step-through': {
      const low = between(s.bb, s.seatTop, 0.3);
      const knee = between(low, head(0.55), 0.42);
      return [
        seatstay,
        chainstay,
        tube('top-tube', 'frame', curved(low, shifted(knee, 26, -34), head(0.62)), 28),
        tube('down-tube', 'frame', curved(s.bb, shifted(between(s.bb, head(0.2), 0.45), 24, -30), head(0.16)), 30),
        seatTube,
        headTube,
      ];
    }
    case 'small-wheel': {
      const joint = between(s.bb, s.seatTop, 0.42);
      return [
        t('seatstay', 14, s.rear, between(s.bb, s.seatTop, 0.8)),
        chainstay,
        tube('main-tube', 'frame', curved(joint, shifted(between(joint, head(0.5), 0.5), 0, -18), head(0.5)), 42),
        t('strut', 20, s.bb, between(joint, head(0.5), 0.34)),
        seatTube,
        headTube,
      ];
    }
    case 'long-tail': {
      const tail = { x: s.rear.x - 60, y: s.tyreMm.rear * 2 + 52 };
      const deck = between(s.bb, s.seatTop, 0.78);
      return [
        t('tail-top', 22, deck, tail),
        t('tail-strut', 17, s.rear, between(deck, tail, 0.62)),
        chainstay,
        t('tail-stay', 15, s.rear, between(s.bb, s.seatTop, 0.5)),
        t('top-tube', 28, between(s.bb, s.seatTop, 0.72), head(0.74)),
        t('down-tube', 32, s.bb, head(0.18)),
        seatTube,
        headTube,
      ];
    }
    case 'full-suspension': {
      const pivot = along(s.bb, 62, 70);
      const rocker = between(s.bb, s.seatTop, 0.62);
      const shock = between(between(s.bb, head(0.2), 0.52), rocker, 0.12);
      return [
        t('chainstay', 22, s.rear, pivot),
        t('seatstay', 18, s.rear, shifted(rocker, -40, 14)),
        tube('shock', 'frame', polyline(shock, shifted(rocker, 6, 2)), 28),
        fine(
          'shock-spring',
          'frame',
          polyline(
            ...Array.from({ length: 9 }, (_, i) => {
              const p = between(shock, rocker, 0.16 + i * 0.085);
              return along(p, heading(shock, rocker) + (i % 2 ? 90 : -90), 17);
            }),
          ),
        ),
        t('top-tube', 34, between(s.bb, s.seatTop, 0.86), head(0.76)),
        t('down-tube', 42, s.bb, head(0.24)),
        t('seat-tube', 34, s.bb, s.seatTop),
        t('rocker', 20, shifted(rocker, -40, 14), shifted(rocker, 8, 2)),
        shape('pivot', 'frame', circle(pivot, 15)),
        shape('pivot-rocker', 'frame', circle(rocker, 12)),
        tube('head-tube', 'frame', polyline(s.headLow, s.headTop), 46),
      ];
    }
  }
}
