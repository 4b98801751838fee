import { inspectAlignment } from './alignment';
import { inspectChainWear } from './chainWear';
import { inspectChecks } from './checks';
import { inspectCrankPlay } from './crankPlay';
import { inspectDiagnose } from './diagnose';
import { inspectDiagnoseAfter } from './diagnoseAfter';
import { inspectDisc } from './disc';
import { inspectHanger } from './hanger';
import { inspectKnowledge } from './knowledge';
import { inspectLookOver } from './lookOver';
import { inspectOpenComplaints } from './openComplaints';
import { inspectRemedy } from './remedy';
import { inspectRimPlay } from './rimPlay';
import { inspectRunout } from './runout';
import { inspectSpokeMap } from './spokeMap';
import { inspectTyreAge } from './tyreAge';
import { inspectWearLimit } from './wearLimit';

/** The calculators of this subject. */
export const calculators = [
  inspectChainWear,
  inspectDisc,
  inspectCrankPlay,
  inspectWearLimit,
  inspectHanger,
  inspectRunout,
  inspectRimPlay,
  inspectSpokeMap,
  inspectTyreAge,
  inspectKnowledge,
  inspectDiagnose,
  inspectDiagnoseAfter,
  inspectRemedy,
  inspectOpenComplaints,
  inspectLookOver,
  inspectChecks,
  inspectAlignment,
] as const;
