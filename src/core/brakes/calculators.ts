import { brakesCantilever } from './cantilever';
import { brakesChain } from './chain';
import { brakesStop } from './stop';
import { brakesUsual } from './usual';

/** The calculators of this subject. */
export const calculators = [brakesStop, brakesCantilever, brakesChain, brakesUsual] as const;
