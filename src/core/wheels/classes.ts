import * as z from 'zod/mini';
import { defineCalculator } from '../calculator';
import { RIM_CLASSES } from './wheelInfluence';

/**
 * The classes of rims that the tables know. Errors: none. Source: the table of rims. Example: `{}` → single-wall alloy, double-wall box
 * alloy and others.
 */
export const wheelsClasses = defineCalculator({
  id: 'wheels.classes',
  title: 'Classes of rims',
  example: {},
  input: z.strictObject({}),
  run: (): { classes: string[] } => ({ classes: RIM_CLASSES }),
});
