import { bicycleKind, type BicycleKind } from '@/core/bicycle';

/** The kind that a bicycle is taken for until somebody says more. */
export const USUAL_KIND: BicycleKind = bicycleKind.parse({});
