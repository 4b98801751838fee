import * as z from 'zod/mini';
import { defineCalculator } from '../calculator';
import { eraFeatures } from './data/eraFeatures';

export interface KnownFeature {
  id: string;
  feature: string;
  group: string;
}

/**
 * The features that date a bicycle, by group, as they are asked for.
 *
 * Units: none. Errors: none. Source: the table of features. Example: `{}` gives every feature with its id.
 */
export const buyFeatures = defineCalculator({
  id: 'buy.features',
  title: 'Features that date a bicycle',
  example: {},
  input: z.strictObject({}),
  run: (): { features: KnownFeature[] } => ({
    features: eraFeatures.map(({ id, feature, group }) => ({ id, feature, group })),
  }),
});
