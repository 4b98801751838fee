import { bearingsAdjustCone } from './adjustCone';
import { bearingsBallCount } from './ballCount';
import { bearingsBenches } from './bench';
import { bearingsCartridgeSet } from './cartridgeSet';
import { bearingsClampAllowance } from './clampAllowance';
import { bearingsContact } from './contact';
import { bearingsGrade } from './grade';
import { bearingsIdentifyBall } from './identifyBall';
import { bearingsIdentifyCartridge } from './identifyCartridge';
import { bearingsLearnDrag } from './learnDrag';
import { bearingsServiceDue } from './serviceDue';
import { bearingsServiceSet } from './serviceSet';
import { bearingsSetting } from './setting';

/** The calculators of this subject. */
export const calculators = [
  bearingsBallCount,
  bearingsIdentifyBall,
  bearingsIdentifyCartridge,
  bearingsClampAllowance,
  bearingsAdjustCone,
  bearingsGrade,
  bearingsServiceDue,
  bearingsServiceSet,
  bearingsBenches,
  bearingsCartridgeSet,
  bearingsLearnDrag,
  bearingsSetting,
  bearingsContact,
] as const;
