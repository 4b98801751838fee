import { isOff, type PartState } from '@/model/strip/partStates';

export const LINE = 'var(--mui-palette-sheet-line)';
export const FAINT = 'var(--mui-palette-sheet-faint)';
export const PAPER = 'var(--mui-palette-sheet-paper)';
export const ACCENT = 'var(--mui-palette-primary-main)';
export const WORDS = 'var(--mui-palette-text-secondary)';

/** How a part is drawn on its axle, in whatever form: at hand in the accent, on in ink, off as a dashed ghost. */
export interface Pen {
  stroke: string;
  /** Times the usual weight of a line. */
  weight: number;
  dash: boolean;
  /** A ghost is not filled. */
  ghost: boolean;
}

export function penOf(state: Pick<PartState, 'where'> | undefined, atHand: boolean): Pen {
  const ghost = state !== undefined && (isOff(state) || state.where === 'left-off');
  if (atHand) return { stroke: ACCENT, weight: 2.2, dash: ghost, ghost };
  return { stroke: LINE, weight: 1, dash: ghost, ghost };
}

/** What is common to the forms in which a part at hand is drawn. */
export interface DrawnStates {
  stateOf(part: string | null): PartState | undefined;
  isAtHand(part: string | null): boolean;
  /** A part, or a track of a bearing, that is tapped. */
  onTap?(tapped: Tapped): void;
}
export interface Tapped {
  part: string | null;
  /** `row.cup` or `row.cone`, where it is a track. */
  track: string | null;
}
