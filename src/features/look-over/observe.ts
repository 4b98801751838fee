import { mergedEvidence, type Check } from '@/core/inspect/check';
import type { Evidence } from '@/core/inspect/evidence';
import type { Finding } from '@/core/inspect/lookOver';
import type { Command } from '@/model/commands';
import type { Bicycle } from '@/model/record';
import { atHand, latestObservations } from '@/model/inspect/latest';
import { newId } from '@/store/browser';
import { nowIso } from '@/store/now';

/**
 * The command that puts evidence down for a check. While the bicycle is as far as when the check was last heard of, changes
 * are laid over what is known of it, wherever that was found out; once it is further, what is seen now stands for itself.
 * `by` is whoever looks.
 */
export function observe(
  bicycle: Bicycle,
  check: Check,
  finding: Finding | undefined,
  changes: Evidence,
  by: string,
): Command {
  const known = atHand(latestObservations(bicycle).get(check.id), finding);
  const goesOn = known.seenAs === bicycle.seenAs;
  return {
    type: 'addObservation',
    observation: {
      id: newId(),
      check: check.id,
      at: nowIso(),
      evidence: goesOn ? mergedEvidence(known.evidence, changes) : mergedEvidence({}, changes),
      note: goesOn ? known.note : '',
      seenAs: bicycle.seenAs,
      withdrawn: false,
      stage: 'look-over',
      ...(by && { by }),
    },
  };
}

/** The command that takes back what a finding stands on; null where it was entered at a tray or a bearing, and is put right there. */
export function takeBack(bicycle: Bicycle, { check, heard }: Pick<Finding, 'check' | 'heard'>): Command | null {
  const latest = latestObservations(bicycle).get(check);
  if (heard?.from === 'door') return { type: 'answerDoor', line: heard.id, answer: null, at: nowIso(), by: '' };
  if (heard?.from === 'test') {
    const complaint = bicycle.complaints.find(({ id }) => id === heard.complaint);
    return complaint
      ? {
          type: 'putComplaint',
          complaint: { ...complaint, results: complaint.results.filter(({ test }) => test !== heard.id) },
        }
      : null;
  }
  if (heard && heard.from !== 'look-over') return null;
  return latest ? { type: 'withdrawObservation', observation: heard?.id ?? latest.id } : null;
}
