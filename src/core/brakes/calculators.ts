import { brakesCantilever } from './cantilever';
import { brakesChain } from './chain';
import { brakesStop } from './stop';

/** The calculators of this subject. */
export const calculators = [brakesStop, brakesCantilever, brakesChain] as const;
