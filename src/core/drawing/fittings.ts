import { kindAt, type BicycleKind } from '../bicycle';
import { brakeAt } from './brakeAt';
import { downTube } from './cockpit';
import {
  along,
  arc,
  between,
  circle,
  curved,
  heading,
  outline,
  polygon,
  polyline,
  shifted,
  type Point,
} from './points';
import { axleSpot, type Skeleton } from './skeleton';
import { tube, thin, fine, shape, solid, type Stroke } from './strokes';

/** Guards, rack, basket and lights. */
export function fittings(kind: BicycleKind, s: Skeleton): Stroke[] {
  const R = s.tyreMm;
  const deck = R.rear * 2 + 46;
  const out: Stroke[] = [];
  if (kind.electric) {
    const tubeDeg = heading(s.bb, downTube(s, 1));
    const beside = (share: number, out: number) => along(downTube(s, share), tubeDeg + 90, out);
    out.push(
      shape('battery', 'frame', polygon(beside(0.36, 20), beside(0.36, 66), beside(0.74, 66), beside(0.74, 20))),
    );
  }
  if (kind.mudguards)
    out.push(
      thin('guard-rear', 'mudguards', arc(s.rear, R.rear + 15, 36, 190)),
      thin('guard-front', 'mudguards', arc(s.front, R.front + 15, 66, 186)),
      fine('guard-stay-rear', 'mudguards', polyline(s.rear, along(s.rear, 158, R.rear + 15))),
      fine('guard-stay-front', 'mudguards', polyline(s.front, along(s.front, 168, R.front + 15))),
    );
  if (kind.rack) {
    const from = kind.frame === 'long-tail' ? s.rear.x - 180 : s.rear.x - 170;
    out.push(
      tube('rack-deck', 'rack', polyline({ x: from, y: deck }, { x: s.rear.x + 160, y: deck }), 11),
      thin('rack-leg', 'rack', polyline({ x: s.rear.x - 66, y: deck }, s.rear)),
      thin('rack-leg-2', 'rack', polyline({ x: s.rear.x + 84, y: deck }, s.rear)),
    );
  }
  if (kind.basket) {
    const at = shifted(s.bars, 66, kind.bars === 'drop' ? 26 : 4);
    out.push(
      shape(
        'basket',
        'rack',
        polygon(shifted(at, -10, 70), shifted(at, 210, 70), shifted(at, 180, -92), shifted(at, 14, -92)),
      ),
      fine(
        'basket-weave',
        'rack',
        [0.25, 0.5, 0.75]
          .map((share) =>
            polyline(shifted(at, -10 + 24 * share, 70 - 162 * share), shifted(at, 210 - 30 * share, 70 - 162 * share)),
          )
          .join('') +
          [0.2, 0.4, 0.6, 0.8]
            .map((share) => polyline(shifted(at, -10 + 220 * share, 70), shifted(at, 14 + 166 * share, -92)))
            .join(''),
      ),
    );
  }
  if (kind.lights)
    out.push(
      shape(
        'lamp-front',
        'lights',
        outline(shifted(s.crown, 44, 40), shifted(s.crown, 76, 58), shifted(s.crown, 96, 34), shifted(s.crown, 70, 12)),
      ),
      thin('lamp-bracket', 'lights', polyline(s.crown, shifted(s.crown, 50, 32))),
      shape(
        'lamp-rear',
        'lights',
        polygon(
          ...[
            [-14, -18],
            [-14, 18],
            [14, 18],
            [14, -18],
          ].map(([x, y]) =>
            shifted(kind.mudguards ? along(s.rear, 152, R.rear + 34) : shifted(s.seatTop, -34, 44), x!, y!),
          ),
        ),
      ),
    );
  return out;
}

/** A hexagon, as a nut is seen from its end. */
function hexagon(centre: Point, radiusMm: number): string {
  return polygon(...[0, 60, 120, 180, 240, 300].map((at) => along(centre, at, radiusMm)));
}

/** A hub with what holds its wheel. */
export function hub(kind: BicycleKind, s: Skeleton, end: 'rear' | 'front'): Stroke[] {
  const at = s[end];
  const lever = axleSpot(s, end);
  return [
    shape(`hub-${end}`, `hub.${end}`, circle(at, end === 'rear' ? 24 : 21)),
    ...(kindAt(kind, `axle.${end}`).wheels === 'nutted'
      ? [shape(`axle-${end}`, `axle.${end}`, hexagon(at, 13))]
      : [thin(`axle-lever-${end}`, `axle.${end}`, curved(at, along(at, end === 'rear' ? 246 : -76, 34), lever))]),
    solid(`axle-end-${end}`, `axle.${end}`, circle(at, 5)),
  ];
}

/** The cables that are seen. */
export function cables(kind: BicycleKind, s: Skeleton): Stroke[] {
  const start = shifted(s.bars, 20, 8);
  const out: Stroke[] = [];
  const { at } = brakeAt(kind, s, 'front');
  out.push(
    fine(
      'cable-brake-front',
      'cables.brake',
      curved(start, shifted(start, 50, 46), shifted(between(start, at, 0.55), 52, 6), shifted(at, 6, 14)),
    ),
  );
  if (kind.gears === 'derailleur' || kind.gears === 'hub') {
    const end = kind.gears === 'derailleur' ? along(s.rear, -60, 70) : along(s.rear, 20, 30);
    const low = shifted(s.bb, 4, -22);
    const straight = kind.frame !== 'small-wheel' && kind.frame !== 'step-through';
    out.push(
      fine('cable-gear', 'cables.gear', polyline(...(straight ? [shifted(downTube(s, 0.58), 4, -20)] : []), low, end)),
    );
  }
  return out;
}
