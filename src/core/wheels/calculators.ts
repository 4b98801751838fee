import { wheelsBrokenSpoke } from './brokenSpoke';
import { wheelsCause } from './cause';
import { wheelsClasses } from './classes';
import { wheelsLacing } from './lacing';
import { wheelsScore } from './score';
import { wheelsSpoilt } from './spoilt';
import { wheelsSpin } from './spin';
import { wheelsSpokeLength } from './spokeLength';
import { wheelsTensionRatio } from './tensionRatio';
import { wheelsTone } from './tone';
import { wheelsTrue } from './trueWheel';
import { wheelsTyreFit } from './tyreFit';

/** The calculators of this subject. */
export const calculators = [
  wheelsTrue,
  wheelsTone,
  wheelsTensionRatio,
  wheelsSpokeLength,
  wheelsTyreFit,
  wheelsSpin,
  wheelsCause,
  wheelsLacing,
  wheelsSpoilt,
  wheelsScore,
  wheelsBrokenSpoke,
  wheelsClasses,
] as const;
