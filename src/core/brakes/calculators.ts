import { brakesCantilever } from './cantilever';
import { brakesChain } from './chain';
import { brakesSetup, brakesSetups } from './setup';
import { brakesStop } from './stop';

/** The calculators of this subject. */
export const calculators = [brakesStop, brakesCantilever, brakesChain, brakesSetup, brakesSetups] as const;
