import { mergedEvidence, type Check } from '@/core/inspect/check';
import type { Evidence } from '@/core/inspect/evidence';
import type { Command } from '@/model/commands';
import type { Bicycle } from '@/model/record';
import { latestObservations } from '@/model/inspect/latest';
import { newId } from '@/store/browser';
import { nowIso } from '@/store/now';

/**
 * The command that puts evidence down for a check. While the bicycle is as far as when it was last seen, changes are laid
 * over what was seen; once it is further, what is seen now stands for itself. `by` is whoever looks.
 */
export function observe(bicycle: Bicycle, check: Check, changes: Evidence, by: string): Command {
  const latest = latestObservations(bicycle).get(check.id);
  const goesOn = latest?.seenAs === bicycle.seenAs;
  return {
    type: 'addObservation',
    observation: {
      id: newId(),
      check: check.id,
      at: nowIso(),
      evidence: goesOn ? mergedEvidence(latest.evidence, changes) : mergedEvidence({}, changes),
      note: goesOn ? latest.note : '',
      seenAs: bicycle.seenAs,
      withdrawn: false,
      stage: 'look-over',
      ...(by && { by }),
    },
  };
}
