import { driveChainLength } from './chainLength';
import { driveGears } from './gears';
import { driveIndex } from './indexing';
import { driveMatch } from './match';
import { driveWearCost } from './wearCost';

/** The calculators of this subject. */
export const calculators = [driveChainLength, driveGears, driveMatch, driveIndex, driveWearCost] as const;
