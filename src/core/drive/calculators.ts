import { driveChainLength } from './chainLength';
import { driveFits } from './fits';
import { driveGears } from './gears';
import { driveIndex } from './indexing';
import { driveMatch } from './match';
import { driveUsual } from './usual';
import { driveWearCost } from './wearCost';

/** The calculators of this subject. */
export const calculators = [
  driveChainLength,
  driveGears,
  driveMatch,
  driveIndex,
  driveWearCost,
  driveUsual,
  driveFits,
] as const;
