import { sellTax } from './dealerTax';
import { sellListing } from './listing';

/** The calculators of this subject. */
export const calculators = [sellListing, sellTax] as const;
