import type { BicycleKind } from '@/core/bicycle';
import type { SteererCutInput } from '@/core/rebuild/steererCut';

/** What is measured of a threadless steerer and what stands on it. */
export type StackMm = Pick<
  SteererCutInput,
  'steererMm' | 'headTubeMm' | 'headsetStackMm' | 'spacersBelowMm' | 'stemClampMm'
> & { spacersAboveMm: number };

const NEEDED = ['steererMm', 'headTubeMm', 'headsetStackMm', 'spacersBelowMm', 'stemClampMm'] as const;

/** Whether enough was measured to say how long it has to be; no spacer above is a spacer of nothing. */
export const isMeasured = (stack: Partial<StackMm>): stack is Omit<StackMm, 'spacersAboveMm'> & Partial<StackMm> =>
  NEEDED.every((field) => stack[field] !== undefined);

/** The question for `rebuild.steererCut`. */
export function steererStack(
  stack: Omit<StackMm, 'spacersAboveMm'> & Partial<StackMm>,
  kind: BicycleKind,
): SteererCutInput & { spacersAboveMm: number } {
  return {
    ...stack,
    spacersAboveMm: stack.spacersAboveMm ?? 0,
    material: kind.steererMaterial ?? kind.forkMaterial ?? kind.frameMaterial,
  };
}
