import type { PlacedSign } from '@/core/drawing/svg';
import type { SignId } from '@/core/drawing/signs';
import { isBearing, stateRank, type StateId } from '@/core/vocabulary/vocabulary';
import type { Bicycle } from './record';
import type { Stage } from './stages';
import { runningTimers } from './clean/timers';
import { partsOff } from './strip/trays';

interface Seen {
  place: string;
  state: StateId;
}

/** The gravest state of each place. */
function gravest(findings: Seen[]): Map<string, StateId> {
  const by = new Map<string, StateId>();
  for (const { place, state } of findings) {
    const known = by.get(place);
    if (!known || stateRank(state) > stateRank(known)) by.set(place, state);
  }
  return by;
}

/**
 * What the drawing carries at a stage: findings while they decide, then what is off, in the bath, open, done, signed. An
 * unsafe finding is shown at every stage.
 *
 * `door` is what the door check says while it is bought. `bolts` are those of this bicycle; `signed` the ids that are signed and within their band.
 */
export function overlayFor(
  stage: Stage,
  bicycle: Bicycle,
  findings: Seen[],
  bolts: { id: string; place: string }[],
  signed: string[],
  door: Seen[] = [],
): PlacedSign[] {
  const signs = new Map<string, { sign: SignId; words?: string }>();
  const states = gravest(findings);
  if (['buy', 'look-over', 'decide', 'prove', 'hand-over'].includes(stage))
    for (const [place, state] of states)
      if (stage !== 'buy' || state !== 'not-looked-at') signs.set(place, { sign: state });
  if (stage === 'buy')
    for (const [place, state] of gravest(door)) if (!signs.has(place)) signs.set(place, { sign: state });
  if (stage === 'strip' || stage === 'clean' || stage === 'overhaul') {
    for (const tray of bicycle.trays) {
      const left = partsOff(tray).length;
      const words = `${left === 1 ? 'one part' : `${left} parts`} in its tray`;
      if (left > 0) signs.set(tray.place, { sign: stage === 'overhaul' ? 'open' : 'off', words });
      else if (Object.keys(tray.off).length > 0) signs.set(tray.place, { sign: 'fine', words: 'all back in' });
    }
    if (stage === 'overhaul')
      for (const { place, after } of bicycle.bearings) if (after) signs.set(place, { sign: 'bearing-done' });
  }
  if (stage === 'overhaul')
    for (const { place, state } of findings)
      if (isBearing(place) && !signs.has(place)) signs.set(place, { sign: state });
  if (stage === 'clean')
    for (const { timer } of runningTimers(bicycle))
      signs.set(timer.place, { sign: 'in-bath', words: `in the bath: ${timer.label}` });
  if (stage === 'rebuild') {
    const done = new Set(signed);
    for (const place of new Set(bolts.map((bolt) => bolt.place))) {
      const here = bolts.filter((bolt) => bolt.place === place);
      const count = here.filter((bolt) => done.has(bolt.id)).length;
      const sign = count === here.length ? 'signed' : count > 0 ? 'part-signed' : 'unsigned';
      signs.set(place, { sign, words: `${count} of ${here.length} signed` });
    }
  }
  for (const [place, state] of states) if (state === 'unsafe') signs.set(place, { sign: 'unsafe' });
  return [...signs].map(([place, entry]) => ({ place, ...entry }));
}
