import type { BicycleKind } from '../bicycle';
import {
  along,
  arc,
  between,
  circle,
  curved,
  heading,
  outerTangents,
  outline,
  polygon,
  polyline,
  shifted,
  type Point,
} from './points';
import { brakeAt } from './brakeAt';
import { axleSpot, axleToSteering, BAR_LEAN, CRANK_DEG, skeletonOf, type Skeleton } from './skeleton';
import { spotsOf } from './spots';

/** A line of the drawing. `part` is the place of the vocabulary that it shows. */
export interface Stroke {
  id: string;
  part: string;
  d: string;
  /** Tubes are drawn as outlines of their width, lines and fine lines by their weight, shapes filled with paper. */
  style: 'tube' | 'line' | 'fine' | 'shape' | 'solid';
  widthMm: number;
  /** Drawn lighter, because it lies behind. */
  far?: boolean;
}

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

const CRANK_MM = 170;

const tube = (id: string, part: string, d: string, widthMm: number, far = false): Stroke => ({
  id,
  part,
  d,
  style: 'tube',
  widthMm,
  far,
});
const thin = (id: string, part: string, d: string, far = false): Stroke => ({
  id,
  part,
  d,
  style: 'line',
  widthMm: 5,
  far,
});
const fine = (id: string, part: string, d: string, far = false): Stroke => ({
  id,
  part,
  d,
  style: 'fine',
  widthMm: 2.6,
  far,
});
const shape = (id: string, part: string, d: string, far = false): Stroke => ({
  id,
  part,
  d,
  style: 'shape',
  widthMm: 4.5,
  far,
});
const solid = (id: string, part: string, d: string): Stroke => ({ id, part, d, style: 'solid', widthMm: 3 });

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

function frameTubes(kind: BicycleKind, s: Skeleton): Stroke[] {
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
      const tail = { x: s.rear.x - 60, y: s.tyreMm * 2 + 52 };
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

function fork(kind: BicycleKind, s: Skeleton): Stroke[] {
  if (kind.frame === 'full-suspension') {
    const foot = along(s.front, s.steerDeg + 90, 24);
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
    tube('fork', 'fork', curved(s.front, axisAt(s.tyreMm * 0.2), axisAt(s.tyreMm * 0.5), s.crown), 21),
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

function headset(s: Skeleton): Stroke[] {
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

function cockpit(kind: BicycleKind, s: Skeleton): Stroke[] {
  const near = (p: Point) => shifted(p, BAR_LEAN.x, BAR_LEAN.y);
  const away = (p: Point) => shifted(p, -BAR_LEAN.x, -BAR_LEAN.y);
  const c = s.bars;
  const halves = (build: (side: (p: Point) => Point, name: 'left' | 'right', far: boolean) => Stroke[]) => [
    ...build(away, 'left', true),
    ...build(near, 'right', false),
  ];
  const stem: Stroke[] =
    kind.stem === 'quill'
      ? [tube('stem', 'stem', polyline(along(s.headTop, s.steerDeg, 18), s.stemTop, c), 23)]
      : [
          tube('steerer', 'stem', polyline(along(s.headTop, s.steerDeg, 18), along(s.stemTop, s.steerDeg, 18)), 34),
          tube('stem', 'stem', polyline(s.stemTop, c), 30),
        ];
  const across = tube('bar-across', 'bars', polyline(away(c), near(c)), 24);
  const bar = halves((side, name, far) => {
    const at = (x: number, y: number) => side(shifted(c, x, y));
    if (kind.bars === 'drop')
      return [
        tube(
          `grip-${name}`,
          `grip.${name}`,
          curved(at(0, 0), at(52, 2), at(88, -26), at(92, -68), at(66, -104), at(24, -116), at(-18, -112)),
          24,
          far,
        ),
        shape(
          `lever-hood-${name}`,
          `brake-lever.${name}`,
          outline(at(58, 6), at(84, 30), at(108, 26), at(110, 2), at(92, -22)),
          far,
        ),
        thin(`lever-${name}`, `brake-lever.${name}`, curved(at(106, 4), at(120, -34), at(112, -78)), far),
      ];
    if (kind.bars === 'flat')
      return [
        tube(`grip-${name}`, `grip.${name}`, polyline(at(0, 0), at(-26, 8)), 30, far),
        thin(`lever-${name}`, `brake-lever.${name}`, curved(at(16, 2), at(34, -14), at(30, -52)), far),
      ];
    return [
      tube(`grip-${name}`, `grip.${name}`, curved(at(0, 0), at(28, 22), at(0, 40), at(-70, 32), at(-150, 10)), 24, far),
      thin(`lever-${name}`, `brake-lever.${name}`, curved(at(-44, 26), at(-72, -2), at(-138, -16)), far),
    ];
  });
  const geared = kind.gears === 'derailleur' || kind.gears === 'hub';
  const shifters = !geared
    ? []
    : kind.bars === 'drop'
      ? [
          thin('shifter', 'shifter.right', polyline(downTube(s, 0.62), shifted(downTube(s, 0.62), 16, 42))),
          shape('shifter-boss', 'shifter.right', circle(downTube(s, 0.62), 11)),
        ]
      : [
          shape(
            'shifter',
            'shifter.right',
            circle(near(shifted(c, kind.bars === 'flat' ? 18 : 10, kind.bars === 'flat' ? -14 : 38)), 13),
          ),
        ];
  const bell = shape('bell', 'bell', circle(shifted(c, -14, 34), 12), true);
  return [bell, ...stem, ...bar.filter((b) => b.far), across, ...bar.filter((b) => !b.far), ...shifters];
}

function downTube(s: Skeleton, share: number): Point {
  return between(s.bb, between(s.headLow, s.headTop, 0.2), share);
}

function seat(s: Skeleton): Stroke[] {
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
    shape('seat-clamp', 'seat-clamp', polygon(at2(s, -19, -14), at2(s, -19, 8), at2(s, 19, 8), at2(s, 19, -14))),
  ];
}

function at2(s: Skeleton, across: number, up: number): Point {
  return along(along(s.seatTop, s.seatDeg - 90, across), s.seatDeg, up);
}

interface Drive {
  ringMm: number;
  cogMm: number;
  cage: Point | null;
  jockey: Point | null;
  strokes: Stroke[];
}

function drive(kind: BicycleKind, s: Skeleton): Drive {
  const derailleur = kind.gears === 'derailleur';
  const ringMm = derailleur ? 98 : 92;
  const cogMm = derailleur ? 46 : 36;
  const [upper, lower] = outerTangents(s.rear, cogMm, s.bb, ringMm);
  const cage = derailleur ? { x: s.rear.x + 34, y: s.rear.y - cogMm - 96 } : null;
  const jockey = derailleur ? { x: s.rear.x + 38, y: s.rear.y - cogMm - 30 } : null;
  const teeth = Array.from({ length: 44 }, (_, i) =>
    polyline(along(s.bb, i * (360 / 44), ringMm - 1), along(s.bb, i * (360 / 44), ringMm + 5)),
  ).join('');
  const chain: Stroke[] =
    cage && jockey
      ? [
          thin('chain-top', 'chain', polyline(...upper)),
          thin('chain-low', 'chain', polyline(...outerTangents(cage, 15, s.bb, ringMm)[1])),
          thin('chain-cage', 'chain', polyline(along(cage, 150, 14), along(jockey, 10, 14), along(s.rear, -20, cogMm))),
        ]
      : [thin('chain-top', 'chain', polyline(...upper)), thin('chain-low', 'chain', polyline(...lower))];
  const cogs = derailleur
    ? [cogMm, 58, 70].map((r, i) => fine(`cog-${i}`, 'cogs', circle(s.rear, r)))
    : [fine('cog-0', 'cogs', circle(s.rear, cogMm))];
  return {
    ringMm,
    cogMm,
    cage,
    jockey,
    strokes: [
      ...cogs,
      shape('freehub', 'freehub', circle(s.rear, 29)),
      ...chain,
      shape('ring', 'chainrings', circle(s.bb, ringMm)),
      fine('ring-teeth', 'chainrings', teeth),
      fine('ring-inner', 'chainrings', circle(s.bb, ringMm - 17)),
      ...(derailleur ? [fine('ring-small', 'chainrings', circle(s.bb, 70))] : []),
      ...[0, 1, 2, 3, 4].map((i) =>
        tube(`spider-${i}`, 'chainrings', polyline(s.bb, along(s.bb, CRANK_DEG + 36 + i * 72, ringMm - 18)), 11),
      ),
      ...(cage && jockey
        ? [
            tube('derailleur-arm', 'derailleur.rear', polyline(along(s.rear, -70, 44), shifted(jockey, 8, 6)), 17),
            tube('derailleur-cage', 'derailleur.rear', polyline(jockey, cage), 13),
            shape('jockey-upper', 'derailleur.rear', circle(jockey, 15)),
            shape('jockey-lower', 'derailleur.rear', circle(cage, 15)),
            solid('hanger', 'hanger', circle(along(s.rear, -70, 44), 7)),
            shape(
              'derailleur-front',
              'derailleur.front',
              polygon(
                shifted(along(s.bb, 96, ringMm + 2), -34, -2),
                shifted(along(s.bb, 96, ringMm + 2), -28, 24),
                shifted(along(s.bb, 96, ringMm + 2), 26, 22),
                shifted(along(s.bb, 96, ringMm + 2), 36, -8),
              ),
            ),
          ]
        : []),
    ],
  };
}

function crank(s: Skeleton, side: 'left' | 'right'): Stroke[] {
  const far = side === 'left';
  const angle = far ? CRANK_DEG + 180 : CRANK_DEG;
  const end = along(s.bb, angle, CRANK_MM);
  return [
    tube(`crank-${side}`, `crank.${side}`, polyline(s.bb, end), far ? 17 : 21, far),
    shape(
      `pedal-${side}`,
      `pedal.${side}`,
      polygon(shifted(end, -46, -12), shifted(end, -46, 12), shifted(end, 46, 12), shifted(end, 46, -12)),
      far,
    ),
    ...(far ? [] : [solid('pedal-axle', 'pedal.right', circle(end, 7))]),
  ];
}

function brakes(kind: BicycleKind, s: Skeleton): Stroke[] {
  return (['rear', 'front'] as const).flatMap((end): Stroke[] => {
    const wheel = end === 'front' ? s.front : s.rear;
    const { at, pads } = brakeAt(kind, s, end);
    if (kind.brakes === 'disc')
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
    if (kind.brakes === 'drum' || (kind.brakes === 'back-pedal' && end === 'rear'))
      return [
        shape(`drum-${end}`, `brake.${end}`, circle(wheel, kind.brakes === 'drum' ? 46 : 33)),
        tube(
          `reaction-${end}`,
          `brake.${end}`,
          polyline(along(wheel, 156, 34), along(wheel, end === 'front' ? 104 : 158, 96)),
          11,
        ),
      ];
    const down = heading(at, pads);
    if (kind.brakes === 'caliper')
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
    const arm = kind.brakes === 'cantilever' ? 64 : 104;
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

function fittings(kind: BicycleKind, s: Skeleton): Stroke[] {
  const R = s.tyreMm;
  const deck = R * 2 + 46;
  const out: Stroke[] = [];
  if (kind.mudguards)
    out.push(
      thin('guard-rear', 'mudguards', arc(s.rear, R + 15, 36, 190)),
      thin('guard-front', 'mudguards', arc(s.front, R + 15, 66, 186)),
      fine('guard-stay-rear', 'mudguards', polyline(s.rear, along(s.rear, 158, R + 15))),
      fine('guard-stay-front', 'mudguards', polyline(s.front, along(s.front, 168, R + 15))),
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
          ].map(([x, y]) => shifted(kind.mudguards ? along(s.rear, 152, R + 34) : shifted(s.seatTop, -34, 44), x!, y!)),
        ),
      ),
    );
  return out;
}

/** A hexagon, as a nut is seen from its end. */
function hexagon(centre: Point, radiusMm: number): string {
  return polygon(...[0, 60, 120, 180, 240, 300].map((at) => along(centre, at, radiusMm)));
}

function hub(kind: BicycleKind, s: Skeleton, end: 'rear' | 'front'): Stroke[] {
  const at = s[end];
  const lever = axleSpot(s, end);
  return [
    shape(`hub-${end}`, `hub.${end}`, circle(at, end === 'rear' ? 24 : 21)),
    ...(kind.wheels === 'nutted'
      ? [shape(`axle-${end}`, `axle.${end}`, hexagon(at, 13))]
      : [thin(`axle-lever-${end}`, `axle.${end}`, curved(at, along(at, end === 'rear' ? 246 : -76, 34), lever))]),
    solid(`axle-end-${end}`, `axle.${end}`, circle(at, 5)),
  ];
}

function cables(kind: BicycleKind, s: Skeleton): Stroke[] {
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
    tyreRadiusMm: s.tyreMm,
    rimRadiusMm: s.rimMm,
    spokes: spokesOf(s[end], s.rimMm),
  });
  const cockpitLines = cockpit(kind, s);
  return {
    widthMm: Math.max(s.front.x + s.tyreMm + 60, kind.basket ? s.bars.x + 300 : s.bars.x + 160),
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
