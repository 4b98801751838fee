import { isBearing, placeLabel } from '@/core/vocabulary/vocabulary';
import { bearingFor } from './bearings/bearingFor';
import { latestObservations } from './inspect/latest';
import type { Bicycle } from './record';
import type { Tray } from './strip/part';

/** Whether a bearing was taken apart, and nothing of it is back nor anything noted of how it is now. */
function isOpenBearing(bicycle: Bicycle, { place, off, backIn }: Tray): boolean {
  const isApart = isBearing(place) && Object.keys(off).length > 0 && backIn.length === 0;
  return isApart && !bearingFor(bicycle, place).after;
}

/** What a bicycle waits for, in the order of the work: the first stage that has not been begun or is not finished. */
export function nextThing(bicycle: Bicycle): {
  stage: Bicycle['minutes'][number]['stage'];
  words: string;
  /** The place that is opened there. */
  place?: string;
} {
  const looked = latestObservations(bicycle).size;
  const kept = bicycle.jobs.filter((row) => row.decision === 'keep');
  const apart = bicycle.trays.find((tray) => isOpenBearing(bicycle, tray));
  if (bicycle.sale.price !== null) return { stage: 'hand-over', words: 'Sold: look at what it earned' };
  const customer = bicycle.purpose === 'customer';
  if (!bicycle.purchase && !customer)
    return {
      stage: 'buy',
      words: bicycle.appraisal.asking === null ? 'Say what is asked for it' : 'Settle on a price',
    };
  if (looked === 0) return { stage: 'look-over', words: 'Look it over, front to back' };
  // Where everything was fine there was nothing to decide.
  const isProved = bicycle.signatures.length > 0 && bicycle.proofs.length > 0;
  if (kept.length === 0 && !isProved)
    return { stage: 'decide', words: customer ? 'Make the estimate, ask the owner' : 'Decide what is done' };
  if (apart)
    return { stage: 'overhaul', place: apart.place, words: `${placeLabel(apart.place)} lies open in its tray` };
  if (kept.some((row) => !row.done))
    return { stage: 'strip', words: `${kept.filter((row) => !row.done).length} jobs to do` };
  if (bicycle.signatures.length === 0) return { stage: 'rebuild', words: 'Torque round' };
  if (bicycle.proofs.length === 0) return { stage: 'prove', words: 'Prove it' };
  return { stage: 'hand-over', words: 'Write the sheet and sell it' };
}
