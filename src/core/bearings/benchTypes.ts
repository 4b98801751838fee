import type { BallRow } from '../strip/assembly';
import type { TurnInput } from '../strip/turn';
import type { BenchDrawing } from './sectionTypes';

/** What is turned to set a bearing. */
export const ADJUSTS = ['cone', 'adjustable-cup', 'top-cap', 'preload-cap'] as const;
export type Adjusts = (typeof ADJUSTS)[number];

/** What a step of an overhaul is about, so that the bench can open the part of the screen that it needs. */
export const DOES = [
  'feel',
  'guard',
  'clean',
  'look',
  'measure',
  'press',
  'grease',
  'count',
  'set',
  'adjust',
  'lock',
  'recheck',
] as const;
export type Does = (typeof DOES)[number];

export interface OverhaulStep {
  id: string;
  title: string;
  does: Does;
  /** Steps of this bearing that come before. */
  after: string[];
  compound: string;
  forget: string;
  turn: { fastener: TurnInput['fastener']; side: 'left' | 'right' | null } | null;
}

/** How the setting of a bearing is thought of: the thread, what locking drags, the bands of feel, the tool. */
export interface Setting {
  adjusts: Adjusts;
  pitchMm: number;
  lockShift: { meanDeg: number; sdDeg: number };
  bands: { tickDeg: number; smoothDeg: number };
  tool: string;
  toolMm: number;
}

/** One bearing on the bench. */
export interface BearingBench {
  place: string;
  assembly: string;
  title: string;
  kind: 'cup-and-cone' | 'cartridge' | 'bushing';
  openable: boolean;
  setting: Setting | null;
  /** The usual axle where a skewer squeezes it; null where nothing does. */
  axle: { majorMm: number; pitchMm: number; boreMm: number; coneSpanMm: number; clampForceN: number } | null;
  felt: { how: string; at: string; reachMm: number };
  rowsApartMm: number;
  /** What one row carries in use, by its order of magnitude: across its axle, and along it. */
  load: { acrossN: number; alongN: number };
  /** A thin pressed cup keeps a mark sooner than a turned one. */
  cupMake: 'pressed' | 'turned';
  /** Its axis stands upright on the bicycle, as a headset's does. */
  upright: boolean;
  circleMm: number;
  rows: BallRow[];
  /** What the two tracks of a row are called here. */
  tracks: { cup: string; cone: string };
  /** Cartridges by their place in the bearing, with the size that is most often met. */
  cartridges: { id: string; code: string; sizeMm: { boreMm: number; odMm: number; widthMm: number } }[];
  steps: OverhaulStep[];
  drawing: BenchDrawing;
  /** Why it is better left alone while it runs; empty where it is not. */
  leaveWhy: string;
  caution: string;
}

/** The next steps that may be done now, and those that wait for one that is not done. Example: nothing done → feel. */
export function openSteps(steps: OverhaulStep[], done: string[]): OverhaulStep[] {
  return steps.filter((step) => !done.includes(step.id) && step.after.every((id) => done.includes(id)));
}
