import { sellTax } from './dealerTax';
import { sellListing } from './listing';
import { sellOffers } from './offersSay';

/** The calculators of this subject. */
export const calculators = [sellListing, sellOffers, sellTax] as const;
