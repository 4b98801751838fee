import { tyresMount } from './mount';
import { tyresWhyFlat } from './whyFlat';

/** The calculators of this subject. */
export const calculators = [tyresMount, tyresWhyFlat] as const;
