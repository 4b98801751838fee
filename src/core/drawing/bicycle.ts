import type { BicycleKind } from '../bicycle';

export interface Point {
  x: number;
  y: number;
}

export interface Stroke {
  id: string;
  d: string;
  weight: 'tube' | 'line' | 'fine';
  closed?: boolean;
}

export interface BicycleGeometry {
  widthMm: number;
  heightMm: number;
  wheels: { place: 'rear' | 'front'; centre: Point; tyreRadiusMm: number; rimRadiusMm: number; spokes: number }[];
  strokes: Stroke[];
  /** Where each place of the vocabulary lies, for marks and hot spots. */
  spots: Record<string, Point>;
}

const RAD = Math.PI / 180;
const MARGIN_MM = 70;
const WHEELBASE_MM = 1030;
const CHAINSTAY_MM = 440;
const DROP_MM = 68;
const SEAT_ANGLE_DEG = 73;
const HEAD_ANGLE_DEG = 72;
const RAKE_MM = 48;
const CRANK_MM = 170;

function along(from: Point, angleDeg: number, length: number): Point {
  return { x: from.x + Math.cos(angleDeg * RAD) * length, y: from.y + Math.sin(angleDeg * RAD) * length };
}

function between(a: Point, b: Point, share: number): Point {
  return { x: a.x + (b.x - a.x) * share, y: a.y + (b.y - a.y) * share };
}

/**
 * A bicycle as points and lines, drive side seen from the right, ground at y = 0 and y upwards, built from its numbers.
 *
 * Shapes: strokes are SVG path data in millimetres with y upwards. Both wheels stand on the ground, and the chain is the
 * pair of outer tangents of ring and cog. Source: usual frame angles of a touring bicycle.
 * Example: a wider tyre lifts both axles, and with them the frame.
 */
export function bicycleGeometry(kind: BicycleKind): BicycleGeometry {
  const rimR = kind.beadSeatMm / 2;
  const R = rimR + kind.tyreWidthMm;
  const rear: Point = { x: MARGIN_MM + R, y: R };
  const front: Point = { x: rear.x + WHEELBASE_MM, y: R };
  const bb: Point = { x: rear.x + Math.sqrt(CHAINSTAY_MM ** 2 - DROP_MM ** 2), y: R - DROP_MM };

  const up = 180 - HEAD_ANGLE_DEG;
  const axisFoot = along(front, up + 90, RAKE_MM);
  const crown = along(axisFoot, up, R + 42);
  const headLow = along(crown, up, 22);
  const headTop = along(headLow, up, kind.frame === 'step-through' ? 190 : 150);
  const seatTop = along(bb, 180 - SEAT_ANGLE_DEG, 560);
  const saddle = along(seatTop, 180 - SEAT_ANGLE_DEG, 120);
  const stemTop = along(headTop, up, kind.stem === 'quill' ? 78 : 48);
  const barCentre: Point = { x: stemTop.x + 92, y: stemTop.y + (kind.stem === 'quill' ? 6 : 18) };

  const single = kind.chain === 'single-or-hub-gear';
  const ringR = 92;
  const cogR = single ? 38 : 52;
  const pedalRight: Point = along(bb, -28, CRANK_MM);
  const pedalLeft: Point = along(bb, 152, CRANK_MM);
  const brakeFront = along(axisFoot, up, R + 18);
  const seatStayTop = along(bb, 180 - SEAT_ANGLE_DEG, 535);
  const brakeRear = between(
    seatStayTop,
    rear,
    1 - (R + 14) / Math.hypot(seatStayTop.x - rear.x, seatStayTop.y - rear.y),
  );
  const cage: Point = { x: rear.x + 26, y: rear.y - cogR - 60 };

  const L = (...points: Point[]) =>
    points.map((p, i) => `${i === 0 ? 'M' : 'L'}${p.x.toFixed(1)} ${p.y.toFixed(1)}`).join('');
  const strokes: Stroke[] = [
    { id: 'chainstay', d: L(bb, rear), weight: 'tube' },
    { id: 'seatstay', d: L(seatStayTop, rear), weight: 'line' },
    { id: 'seat-tube', d: L(bb, seatTop), weight: 'tube' },
    { id: 'down-tube', d: L(bb, between(headLow, headTop, 0.12)), weight: 'tube' },
    {
      id: 'top-tube',
      d:
        kind.frame === 'diamond'
          ? L(seatStayTop, between(headLow, headTop, 0.84))
          : L(along(bb, 180 - SEAT_ANGLE_DEG, 230), between(headLow, headTop, 0.62)),
      weight: 'tube',
    },
    { id: 'head-tube', d: L(headLow, headTop), weight: 'tube' },
    {
      id: 'fork',
      d: `${L(crown, along(axisFoot, up, R * 0.46))}Q${along(axisFoot, up, R * 0.14).x.toFixed(1)} ${along(axisFoot, up, R * 0.14).y.toFixed(1)} ${front.x.toFixed(1)} ${front.y.toFixed(1)}`,
      weight: 'tube',
    },
    { id: 'post', d: L(seatTop, saddle), weight: 'line' },
    { id: 'stem', d: `${L(headTop, stemTop)}L${barCentre.x.toFixed(1)} ${barCentre.y.toFixed(1)}`, weight: 'line' },
    {
      id: 'saddle',
      d: `M${saddle.x - 118} ${saddle.y + 28}Q${saddle.x - 60} ${saddle.y + 44} ${saddle.x + 10} ${saddle.y + 28}Q${saddle.x + 90} ${saddle.y + 26} ${saddle.x + 152} ${saddle.y + 16}Q${saddle.x + 90} ${saddle.y + 2} ${saddle.x + 20} ${saddle.y + 2}Q${saddle.x - 40} ${saddle.y - 8} ${saddle.x - 112} ${saddle.y - 6}Z`,
      weight: 'line',
      closed: true,
    },
    { id: 'bars', d: barPath(kind.bars, barCentre), weight: 'line' },
    { id: 'ring', d: circle(bb, ringR), weight: 'line' },
    { id: 'ring-inner', d: circle(bb, ringR - 22), weight: 'fine' },
    { id: 'cog', d: circle(rear, cogR), weight: 'line' },
    { id: 'chain-top', d: L({ x: rear.x, y: rear.y + cogR }, { x: bb.x, y: bb.y + ringR }), weight: 'fine' },
    ...(single
      ? [
          {
            id: 'chain-low',
            d: L({ x: rear.x, y: rear.y - cogR }, { x: bb.x, y: bb.y - ringR }),
            weight: 'fine' as const,
          },
        ]
      : [
          {
            id: 'chain-low',
            d: L({ x: cage.x + 10, y: cage.y - 24 }, { x: bb.x, y: bb.y - ringR }),
            weight: 'fine' as const,
          },
          {
            id: 'derailleur',
            d: `${L({ x: rear.x + 14, y: rear.y - 30 }, { x: rear.x + 34, y: rear.y - cogR - 22 }, cage)}`,
            weight: 'line' as const,
          },
          {
            id: 'pulley',
            d: circle({ x: rear.x + 34, y: rear.y - cogR - 16 }, 15) + circle(cage, 15),
            weight: 'fine' as const,
          },
        ]),
    { id: 'crank-right', d: L(bb, pedalRight), weight: 'line' },
    { id: 'crank-left', d: L(bb, pedalLeft), weight: 'fine' },
    {
      id: 'pedal-right',
      d: L({ x: pedalRight.x - 48, y: pedalRight.y }, { x: pedalRight.x + 48, y: pedalRight.y }),
      weight: 'line',
    },
    {
      id: 'pedal-left',
      d: L({ x: pedalLeft.x - 48, y: pedalLeft.y }, { x: pedalLeft.x + 48, y: pedalLeft.y }),
      weight: 'fine',
    },
    { id: 'hub-front', d: circle(front, 22), weight: 'line' },
    { id: 'hub-rear', d: circle(rear, 24), weight: 'line' },
    ...(kind.brakes === 'disc'
      ? [
          { id: 'disc-front', d: circle(front, 80) + circle(front, 62), weight: 'fine' as const },
          { id: 'disc-rear', d: circle(rear, 80), weight: 'fine' as const },
        ]
      : [
          {
            id: 'caliper-front',
            d: L(
              { x: brakeFront.x + 6, y: brakeFront.y + 20 },
              { x: brakeFront.x + 30, y: brakeFront.y - 4 },
              { x: brakeFront.x + 24, y: brakeFront.y - 40 },
            ),
            weight: 'line' as const,
          },
          {
            id: 'caliper-rear',
            d: L(
              { x: brakeRear.x + 4, y: brakeRear.y + 18 },
              { x: brakeRear.x - 22, y: brakeRear.y },
              { x: brakeRear.x - 22, y: brakeRear.y - 32 },
            ),
            weight: 'line' as const,
          },
        ]),
    ...(kind.mudguards
      ? [
          { id: 'guard-rear', d: arc(rear, R + 16, 40, 186), weight: 'line' as const },
          { id: 'guard-front', d: arc(front, R + 16, 62, 178), weight: 'line' as const },
        ]
      : []),
    ...(kind.rack
      ? [
          {
            id: 'rack',
            d:
              L({ x: rear.x - 150, y: R * 2 + 52 }, { x: seatStayTop.x - 26, y: R * 2 + 52 }) +
              L({ x: rear.x - 60, y: R * 2 + 52 }, rear) +
              L({ x: rear.x + 60, y: R * 2 + 52 }, rear),
            weight: 'line' as const,
          },
        ]
      : []),
  ];

  return {
    widthMm: front.x + R + MARGIN_MM,
    heightMm: Math.max(barCentre.y + 90, saddle.y + 80),
    wheels: [
      { place: 'rear', centre: rear, tyreRadiusMm: R, rimRadiusMm: rimR - 10, spokes: 18 },
      { place: 'front', centre: front, tyreRadiusMm: R, rimRadiusMm: rimR - 10, spokes: 18 },
    ],
    strokes,
    spots: {
      'tyre.front': along(front, 32, R - 6),
      'rim.front': along(front, -38, rimR - 14),
      'hub.front': front,
      'hub.rear': rear,
      headset: between(headLow, headTop, 0.95),
      'pads.front': { x: brakeFront.x + 30, y: brakeFront.y - 6 },
      'cables.brake': { x: barCentre.x + 40, y: barCentre.y - 10 },
      frame: between(bb, between(headLow, headTop, 0.12), 0.52),
      'seat-post': between(seatTop, saddle, 0.35),
      chain: between({ x: rear.x, y: rear.y + cogR }, { x: bb.x, y: bb.y + ringR }, 0.46),
      'crank.left': pedalRight,
      'bottom-bracket': bb,
    },
  };
}

function circle(centre: Point, r: number): string {
  return `M${(centre.x - r).toFixed(1)} ${centre.y.toFixed(1)}a${r} ${r} 0 1 0 ${2 * r} 0a${r} ${r} 0 1 0 ${-2 * r} 0`;
}

function arc(centre: Point, r: number, fromDeg: number, toDeg: number): string {
  const a = along(centre, fromDeg, r);
  const b = along(centre, toDeg, r);
  return `M${a.x.toFixed(1)} ${a.y.toFixed(1)}A${r} ${r} 0 0 1 ${b.x.toFixed(1)} ${b.y.toFixed(1)}`;
}

function barPath(bars: BicycleKind['bars'], c: Point): string {
  if (bars === 'drop') return `M${c.x} ${c.y}q58 8 64 -34q2 -52 -38 -84q-26 -16 -62 -10`;
  if (bars === 'flat') return `M${c.x - 24} ${c.y + 10}l48 4m-10 -2l34 -26`;
  return `M${c.x} ${c.y}q30 26 -18 34q-70 6 -136 -14`;
}
