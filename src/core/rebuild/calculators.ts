import { rebuildBolts } from './bolts';
import { rebuildCompound } from './compound';
import { rebuildJoints } from './jointsOf';
import { rebuildOrder } from './order';
import { rebuildPosition } from './position';
import { rebuildPrepare } from './prepare';
import { rebuildPreload } from './preload';
import { rebuildSteererCut } from './steererCut';

/** The calculators of this subject. */
export const calculators = [
  rebuildBolts,
  rebuildOrder,
  rebuildCompound,
  rebuildJoints,
  rebuildPrepare,
  rebuildPosition,
  rebuildSteererCut,
  rebuildPreload,
] as const;
