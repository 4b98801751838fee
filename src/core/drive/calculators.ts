import { driveChainLength } from './chainLength';
import { driveGears } from './gears';
import { driveIndex } from './indexing';
import { driveMatch } from './match';
import { driveUsual } from './usual';
import { driveWearCost } from './wearCost';

/** The calculators of this subject. */
export const calculators = [driveChainLength, driveGears, driveMatch, driveIndex, driveWearCost, driveUsual] as const;
