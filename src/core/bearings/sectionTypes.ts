/** What a fitting is made of, as far as the drawing tells it apart. */
export const TONES = ['metal', 'seal', 'friction', 'gear', 'magnet', 'winding'] as const;
export type Tone = (typeof TONES)[number];

/** A radius told from the axle's surface, from the ball circle, or from the inside of what holds the cups; or bare mm. */
export interface Radius {
  of: 'axle' | 'circle' | 'shell' | null;
  plusMm: number;
}

/** Something round the axle besides balls and tracks. */
export interface Fitting {
  label: string;
  /** The part of the tray that it is, or belongs to; null where it stays on the bicycle. */
  part: string | null;
  /** One row: both ends counted outwards from it. Two rows: the ends counted inwards from each. */
  at: [string, string?];
  fromMm: number;
  toMm: number;
  inner: Radius;
  outer: Radius;
  tone: Tone;
  /** Goes with what is turned when the bearing is set. */
  moves: boolean;
}

/** What a bearing is drawn from besides its balls and cartridges. */
export interface BenchDrawing {
  shaftMm: number;
  /** Rows whose outer track lies outboard and their inner one inboard, as in a bottom bracket. */
  outboard: string[];
  /** The row at which it is set. */
  sets: string | null;
  /** Rows that are drawn but not counted, of something that stays shut. */
  inside: { id: string; ballMm: number | null; sizeMm: { boreMm: number; odMm: number; widthMm: number } | null }[];
  /** Ball circles of rows that differ from the others. */
  circlesMm: Record<string, number>;
  fittings: Fitting[];
  /** The part of the tray that the axle, a track, a row of balls or a cartridge is: `axle`, `cone.left` and so on. */
  shows: Record<string, string>;
}

/** One row of balls, or one cartridge, of the bearing that is drawn. */
export interface SectionRow {
  id: string;
  /** Ball diameter; of a cartridge, what fits between its rings. */
  ballMm: number;
  /** How many balls belong. */
  holds: number | null;
  /** How many are in so far; null where the row was never out, and nobody knows. */
  in: number | null;
  /** Where its circle differs from that of the others. */
  circleMm?: number;
  /** Drawn, but not counted. */
  shut?: boolean;
}

export interface SectionInput {
  rows: SectionRow[];
  kind: 'cup-and-cone' | 'cartridge' | 'bushing';
  /** Diameter of the circle through the middles of the balls. */
  circleMm: number;
  rowsApartMm: number;
  axleMm: number;
  /** Headsets stand upright; the rest lie across. */
  upright: boolean;
  cartridges: Record<string, { boreMm: number; odMm: number; widthMm: number }>;
  outboard?: string[];
  /** What the tracks are called here. */
  names?: { cup: string; cone: string };
  fittings?: Fitting[];
  /** Which part of the tray each of the others is. */
  shows?: Record<string, string>;
  /** The track that is turned when it is set, and the play it leaves along the axle, which is drawn much larger. */
  set?: { row: string; part: 'cup' | 'cone'; playMm: number } | null;
  /** Without the rows seen along the axle, where nothing is counted. */
  faceless?: boolean;
  /** Faces under the section instead of beside it, for a narrow sheet. */
  stacked?: boolean;
}

export type SectionPart = 'axle' | 'cup' | 'cone' | 'balls' | 'outer' | 'inner' | 'seal' | 'fitting';

export interface SectionShape {
  row: string | null;
  part: SectionPart;
  tone: Tone;
  label: string | null;
  /** The part of the tray that it shows; null where it is none. */
  shows: string | null;
  d: string;
}

/** A row seen along the axle: where each ball lies on its circle. */
export interface RowFace {
  row: string;
  x: number;
  y: number;
  circleR: number;
  ballR: number;
  /** Balls that are in, slots that wait for one, and balls that were never out. */
  slots: { x: number; y: number; ball: 'in' | 'wanting' | 'never out' }[];
}

export interface Point {
  x: number;
  y: number;
}

export interface BearingSection {
  widthMm: number;
  heightMm: number;
  /** What is free at the left of the section itself. */
  freeLeftMm: number;
  shapes: SectionShape[];
  faces: RowFace[];
  /** The height of the axle's middle in a section that lies across; null in one that stands upright. */
  axisY: number | null;
  /** What a name points at, in its upper half or, where it stands upright, its left one; what matters most comes first. */
  named: { label: string; x: number; y: number }[];
  /** Where the track that is turned lies, and the way outwards along the axle; null where nothing is set. */
  setAt: (Point & { outward: Point }) | null;
}
