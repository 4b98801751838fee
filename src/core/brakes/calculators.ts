import { brakesCantilever } from './cantilever';
import { brakesChain } from './chain';
import { brakesSetup } from './setup';
import { brakesStop } from './stop';

/** The calculators of this subject. */
export const calculators = [brakesStop, brakesCantilever, brakesChain, brakesSetup] as const;
