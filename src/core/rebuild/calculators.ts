import { rebuildBolts } from './bolts';
import { rebuildCompound } from './compound';
import { rebuildOrder } from './order';
import { rebuildPreload } from './preload';
import { rebuildSteererCut } from './steererCut';

/** The calculators of this subject. */
export const calculators = [rebuildBolts, rebuildOrder, rebuildCompound, rebuildSteererCut, rebuildPreload] as const;
