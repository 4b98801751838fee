import type { PlacedSign } from '@/core/drawing/svg';
import type { Finding } from '@/core/inspect/lookOver';
import { isBearing, stateRank } from '@/core/vocabulary/vocabulary';
import { defineOverlay } from '../workshop/declared';

/** The gravest state of each place. */
function gravest(findings: readonly Finding[]): PlacedSign[] {
  const by = new Map<string, PlacedSign & { sign: Finding['state'] }>();
  for (const { place, state } of findings) {
    const known = by.get(place);
    if (!known || stateRank(state) > stateRank(known.sign)) by.set(place, { place, sign: state });
  }
  return [...by.values()];
}

/** Every place with its gravest finding. */
export const findingSigns = defineOverlay({
  signs: (_bicycle, { lookOver }) => gravest(lookOver?.findings ?? []),
});

/** The same, without what nobody looked at, and with what the door left open. */
export const seenSigns = defineOverlay({
  signs: (_bicycle, { lookOver }) =>
    // Something is wrong at one of the doubted ones: the door does not say at which, so that each is to be looked at.
    gravest((lookOver?.findings ?? []).filter(({ state, doubted }) => state !== 'not-looked-at' || doubted)),
});

/** What was found of the bearings. */
export const bearingSigns = defineOverlay({
  signs: (_bicycle, { lookOver }) => gravest(lookOver?.findings ?? []).filter(({ place }) => isBearing(place)),
});
