import { kindAt, type BicycleKind } from '../bicycle';
import { along, between, type Point } from './points';

/** The points that everything else of a drawing hangs on. Millimetres, ground at y = 0. */
export interface Skeleton {
  rear: Point;
  front: Point;
  /** Outer radius of each tyre and radius of each rim's outer edge. */
  tyreMm: Record<'front' | 'rear', number>;
  rimMm: Record<'front' | 'rear', number>;
  bb: Point;
  /** Direction of the steering axis, degrees; it points up and back. */
  steerDeg: number;
  seatDeg: number;
  crown: Point;
  headLow: Point;
  headTop: Point;
  /** Where the top tube meets the seat tube, and the seat tube's end. */
  cluster: Point;
  seatTop: Point;
  saddle: Point;
  stemTop: Point;
  bars: Point;
}

interface Proportions {
  wheelbase: number;
  chainstay: number;
  seatTube: number;
  headTube: number;
  saddleUp: number;
  steerDeg: number;
  seatDeg: number;
  rake: number;
  forkGap: number;
  stemUp: number;
}

const USUAL: Proportions = {
  wheelbase: 1030,
  chainstay: 440,
  seatTube: 555,
  headTube: 150,
  saddleUp: 135,
  steerDeg: 108,
  seatDeg: 107,
  rake: 48,
  forkGap: 38,
  stemUp: 66,
};

/** Usual proportions of each kind of frame. Source: measured frames of the kinds, rounded. */
const PROPORTIONS: Record<BicycleKind['frame'], Partial<Proportions>> = {
  diamond: {},
  mixte: { seatTube: 520, headTube: 165, saddleUp: 150 },
  'step-through': { wheelbase: 1060, seatTube: 500, headTube: 190, saddleUp: 150, steerDeg: 111, rake: 62, stemUp: 90 },
  'small-wheel': {
    wheelbase: 1020,
    chainstay: 420,
    seatTube: 330,
    headTube: 120,
    saddleUp: 320,
    forkGap: 45,
    stemUp: 330,
  },
  'long-tail': { wheelbase: 1340, chainstay: 750, seatTube: 500, headTube: 160, saddleUp: 150 },
  'full-suspension': {
    wheelbase: 1150,
    chainstay: 445,
    seatTube: 430,
    headTube: 115,
    saddleUp: 230,
    steerDeg: 114,
    seatDeg: 105,
    rake: 44,
    forkGap: 120,
    stemUp: 34,
  },
};

/** Where the right crank points; the left one points the other way. */
export const CRANK_DEG = -24;

/** Half the bar's width as it appears: the near side lower and forward, the far side higher and back. */
export const BAR_LEAN = { x: 38, y: -30 };

const MARGIN_MM = 60;
const SPRUNG_GAP_MM = 84;
const DROP_MM = 68;
const LEAST_BB_MM = 268;

/**
 * The skeleton of a bicycle from its numbers: wheels on the ground, bottom bracket a usual drop below the axles but
 * never where a pedal would strike, steering axis through the crown at the usual angle and rake.
 *
 * Example: a wider tyre lifts both axles and the frame with them.
 */
export function skeletonOf(kind: BicycleKind): Skeleton {
  const p = { ...USUAL, ...PROPORTIONS[kind.frame] };
  const at = { front: kindAt(kind, 'rim.front'), rear: kindAt(kind, 'rim.rear') };
  const rimMm = { front: at.front.beadSeatMm / 2, rear: at.rear.beadSeatMm / 2 };
  const tyreMm = { front: rimMm.front + at.front.tyreWidthMm, rear: rimMm.rear + at.rear.tyreWidthMm };
  const rackRoom = kind.frame === 'long-tail' ? 60 : 0;
  const rear = { x: MARGIN_MM + tyreMm.rear + rackRoom, y: tyreMm.rear };
  const bbY = Math.max(tyreMm.rear - DROP_MM, LEAST_BB_MM);
  const bb = { x: rear.x + Math.sqrt(p.chainstay ** 2 - (bbY - tyreMm.rear) ** 2), y: bbY };
  const front = { x: rear.x + p.wheelbase, y: tyreMm.front };
  // The axle lies a rake before the steering axis, at a right angle to it.
  const axisFoot = along(front, p.steerDeg + 90, p.rake);
  // A fork that is sprung stands higher over its tyre, by its travel.
  const gap = kind.fork === 'suspension' ? Math.max(p.forkGap, SPRUNG_GAP_MM) : p.forkGap;
  const crown = along(axisFoot, p.steerDeg, tyreMm.front + gap);
  const headLow = along(crown, p.steerDeg, 24);
  const headTop = along(headLow, p.steerDeg, p.headTube);
  const seatTop = along(bb, p.seatDeg, p.seatTube);
  const stemTop = along(headTop, p.steerDeg, kind.stem === 'quill' ? p.stemUp : Math.max(34, p.stemUp - 24));
  const reach = kind.bars === 'swept' ? 56 : kind.frame === 'full-suspension' ? 50 : 92;
  return {
    rear,
    front,
    tyreMm,
    rimMm,
    bb,
    steerDeg: p.steerDeg,
    seatDeg: p.seatDeg,
    crown,
    headLow,
    headTop,
    cluster: between(bb, seatTop, 0.955),
    seatTop,
    saddle: along(seatTop, p.seatDeg, p.saddleUp),
    stemTop,
    bars: { x: stemTop.x + reach, y: stemTop.y + (kind.stem === 'quill' ? 6 : 20) },
  };
}

/** How far the front axle lies before the steering axis: the fork's rake. */
export function axleToSteering(s: Skeleton): number {
  const turned = (s.steerDeg * Math.PI) / 180;
  return Math.abs((s.front.x - s.crown.x) * Math.sin(turned) - (s.front.y - s.crown.y) * Math.cos(turned));
}

/** Where the wheel's fixing is pointed at: the end of the quick-release lever, or beside the nut. */
export function axleSpot(s: Skeleton, end: 'rear' | 'front'): Point {
  return along(s[end], end === 'rear' ? 232 : -62, 62);
}
