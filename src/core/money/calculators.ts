import { moneyAppraise } from './appraise';
import { moneyAsk } from './ask';
import { moneyDrive } from './drive';
import { moneyLearn } from './learn';
import { moneyResult } from './result';
import { moneySamples } from './samples';

/** The calculators of this subject. */
export const calculators = [moneyAppraise, moneyResult, moneyDrive, moneySamples, moneyAsk, moneyLearn] as const;
