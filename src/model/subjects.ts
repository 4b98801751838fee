/** What a bicycle's record is made of; each subject declares its part of it, its commands and an empty part. */
export * as bearings from './bearings/subject';
export * as bicycle from './bicycle/subject';
export * as brakes from './brakes/subject';
export * as buy from './buy/subject';
export * as clean from './clean/subject';
export * as decide from './decide/subject';
export * as drive from './drive/subject';
export * as identify from './identify/subject';
export * as inspect from './inspect/subject';
export * as money from './money/subject';
export * as prove from './prove/subject';
export * as rebuild from './rebuild/subject';
export * as setup from './setup/subject';
export * as strip from './strip/subject';
export * as tyres from './tyres/subject';
export * as wheels from './wheels/subject';
export * as work from './work/subject';
