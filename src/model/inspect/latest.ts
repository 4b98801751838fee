import type { Evidence } from '@/core/inspect/evidence';
import type { Finding } from '@/core/inspect/lookOver';
import type { SeenAs } from '@/core/inspect/seenAs';
import type { Bicycle } from '../record';
import type { Observation } from './part';

/** The last observation of each check that has not been withdrawn. */
export function latestObservations(bicycle: Bicycle): Map<string, Observation> {
  return new Map(bicycle.observations.filter((row) => !row.withdrawn).map((row) => [row.check, row]));
}

/** Of a check’s last entry at the look-over and its finding, what stands: what was put down counts before it is judged. */
export function atHand(
  latest: Observation | undefined,
  finding: Pick<Finding, 'evidence' | 'heard' | 'seenAs'> | undefined,
): { evidence: Evidence; seenAs: SeenAs | null; note: string } {
  const { heard, evidence, seenAs } = finding ?? { heard: null, evidence: null, seenAs: null };
  if (latest && (heard === null || heard.from === 'look-over' || latest.at >= (heard.at ?? '')))
    return { evidence: latest.evidence, seenAs: latest.seenAs, note: latest.note };
  return { evidence: evidence ?? {}, seenAs, note: '' };
}

/** Whether a check asks nothing more: it was put down, or is known from elsewhere as far as a check goes. */
export function isKnown(
  latest: Observation | undefined,
  finding: Pick<Finding, 'state' | 'deeper' | 'heard'> | undefined,
): boolean {
  if (latest && finding?.heard?.from !== 'door' && finding?.heard?.from !== 'test') return true;
  if (!finding) return latest !== undefined;
  return finding.state !== 'not-looked-at' && !finding.deeper;
}
