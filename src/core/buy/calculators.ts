import { buyAge } from './age';
import { buyAppraise } from './appraise';
import { buyComparables } from './comparables';
import { buyFeatures } from './features';
import { buyFit } from './fit';
import { buyLearn } from './learn';
import { buySellerWords } from './sellerWords';

/** The calculators of this subject. */
export const calculators = [
  buyAppraise,
  buyComparables,
  buyFit,
  buyAge,
  buyFeatures,
  buyLearn,
  buySellerWords,
] as const;
