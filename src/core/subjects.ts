/** The subjects that have calculators, a line each. */
export * as bearings from './bearings/calculators';
export * as brakes from './brakes/calculators';
export * as buy from './buy/calculators';
export * as cables from './cables/calculators';
export * as clean from './clean/calculators';
export * as decide from './decide/calculators';
export * as drive from './drive/calculators';
export * as identify from './identify/calculators';
export * as inspect from './inspect/calculators';
export * as money from './money/calculators';
export * as practice from './practice/calculators';
export * as prove from './prove/calculators';
export * as rebuild from './rebuild/calculators';
export * as setup from './setup/calculators';
export * as strip from './strip/calculators';
export * as tyres from './tyres/calculators';
export * as wheels from './wheels/calculators';
