import type { Ready } from '@/core/prove/ready';
import type { WayOut, ProofMark } from './part';
import type { Bicycle } from '../record';

/** The last mark of a proof. */
export function proofMarkOf(bicycle: Pick<Bicycle, 'proofs'>, proof: string): ProofMark | undefined {
  return bicycle.proofs.findLast((row) => row.proof === proof);
}

/** How it went out last, if it did. */
export function lastWayOut(bicycle: Pick<Bicycle, 'waysOut'>) {
  return bicycle.waysOut.at(-1) ?? null;
}

/** What was accepted as it is, in words for the sheet. Example: "Rear tyre (known; Ada, 2026-11-20)". */
export function acceptedWords(bicycle: Pick<Bicycle, 'acceptances'>, labelOf: (check: string) => string): string[] {
  return bicycle.acceptances.map(
    ({ check, by, on, words }) => `${labelOf(check)} (${words}; ${by || 'nobody named'}, ${on})`,
  );
}

/** Places that carry a rider and break without a warning: condemned, they are marked or cut. */
const NEVER_SOLD_ON = ['frame', 'frame.underside', 'fork', 'bars', 'stem'];

/** What is unsafe of frame, fork, bar and stem: it leaves marked or cut, and is never sold on. */
export function condemned(findings: { place: string; state: string; label: string }[]): string[] {
  return findings.filter((row) => row.state === 'unsafe' && NEVER_SOLD_ON.includes(row.place)).map((row) => row.label);
}

/** What goes along in writing: what stands open where it goes as it is, what was marked or cut where it goes for its parts. */
export function outWords(way: WayOut['way'], open: { words: string }[], cut: string[]): string {
  if (way === 'ready') return '';
  if (way === 'parts') return cut.length > 0 ? `Marked or cut, never sold on: ${cut.join(', ')}` : '';
  return open
    .map(({ words }) => words)
    .join('; ')
    .slice(0, 2000);
}

/** The law where a record says what no table here knows, such as a complaint of a newer release: not ready, with why. */
export function unanswered(why: string): Ready {
  const words = `The record says something that is not known here (${why})`;
  return {
    ready: false,
    verdict: 'not-ready',
    provedOn: null,
    missing: [{ kind: 'complaint', id: 'record', words, blocks: true, stage: 'look-over' }],
    reasons: [words],
    working: [],
  };
}
