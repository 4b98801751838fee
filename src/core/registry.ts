import { bearingsBenches } from './bearings/bench';
import { bearingsCartridgeSet } from './bearings/cartridgeSet';
import { bearingsContact } from './bearings/contact';
import { bearingsLearnDrag } from './bearings/learnDrag';
import { bearingsAdjustCone } from './bearings/adjustCone';
import { bearingsBallCount } from './bearings/ballCount';
import { bearingsClampAllowance } from './bearings/clampAllowance';
import { bearingsGrade } from './bearings/grade';
import { bearingsIdentifyBall } from './bearings/identifyBall';
import { bearingsIdentifyCartridge } from './bearings/identifyCartridge';
import { bearingsServiceSet } from './bearings/serviceSet';
import { bearingsServiceDue } from './bearings/serviceDue';
import { buyAge } from './buy/age';
import { buyAppraise } from './buy/appraise';
import { buyComparables } from './buy/comparables';
import { buyFeatures } from './buy/features';
import { buyFit } from './buy/fit';
import type { Calculator } from './calculator';
import { cleanFinish } from './clean/finish';
import { cleanOptions } from './clean/options';
import { cleanPlan } from './clean/plan';
import { decideJobs } from './decide/jobs';
import { decideWeigh } from './decide/weigh';
import { identifyMatch } from './identify/match';
import { identifyTables } from './identify/tables';
import { inspectChainWear } from './inspect/chainWear';
import { inspectCrankPlay } from './inspect/crankPlay';
import { inspectDiagnose } from './inspect/diagnose';
import { inspectDisc } from './inspect/disc';
import { inspectHanger } from './inspect/hanger';
import { inspectKnowledge } from './inspect/knowledge';
import { inspectLookOver } from './inspect/lookOver';
import { inspectOpenComplaints } from './inspect/openComplaints';
import { inspectRemedy } from './inspect/remedy';
import { inspectRimPlay } from './inspect/rimPlay';
import { inspectRunout } from './inspect/runout';
import { inspectSpokeMap } from './inspect/spokeMap';
import { inspectTyreAge } from './inspect/tyreAge';
import { inspectWearLimit } from './inspect/wearLimit';
import { moneyAppraise } from './money/appraise';
import { moneyDrive } from './money/drive';
import { moneyResult } from './money/result';
import { moneySamples } from './money/samples';
import { practiceLevels } from './practice/levels';
import { proveReady } from './prove/ready';
import { rebuildBolts } from './rebuild/bolts';
import { stripLadder } from './strip/ladder';
import { stripStuck } from './strip/stuck';
import { stripTrays } from './strip/trays';
import { stripTurn } from './strip/turn';

/** Every calculator; the worker, the command line and the HTTP route know no other list. */
export const registry = [
  moneyAppraise,
  moneyResult,
  moneyDrive,
  moneySamples,
  buyAppraise,
  buyComparables,
  buyFit,
  buyAge,
  buyFeatures,
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
  inspectRemedy,
  inspectOpenComplaints,
  inspectLookOver,
  decideJobs,
  decideWeigh,
  identifyMatch,
  identifyTables,
  stripTurn,
  stripTrays,
  stripLadder,
  stripStuck,
  cleanOptions,
  cleanPlan,
  cleanFinish,
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
  bearingsContact,
  rebuildBolts,
  proveReady,
  practiceLevels,
] as const;

type Registered = (typeof registry)[number];
export type CalculatorId = Registered['id'];

const byId = new Map<string, Calculator>(
  registry.map((calculator) => [calculator.id, calculator as unknown as Calculator]),
);

/** The calculator with this id, or undefined. */
export function calculator(id: string): Calculator | undefined {
  return byId.get(id);
}

/** All ids in their order. */
export function calculatorIds(): string[] {
  return [...byId.keys()];
}
