import { placeLabel } from '@/core/vocabulary/vocabulary';
import type { Bicycle, ProofMark } from './record';

/** The last mark of a proof. */
export function proofMarkOf(bicycle: Pick<Bicycle, 'proofs'>, proof: string): ProofMark | undefined {
  return bicycle.proofs.findLast((row) => row.proof === proof);
}

/** How it went out last, if it did. */
export function lastWayOut(bicycle: Pick<Bicycle, 'waysOut'>) {
  return bicycle.waysOut.at(-1) ?? null;
}

/** The day on which it was last ready in writing: "was ready on …" once its proof has grown old. */
export function wasReadyOn(bicycle: Pick<Bicycle, 'waysOut'>): string | null {
  return bicycle.waysOut.findLast((row) => row.way === 'ready')?.at ?? null;
}

/** What was accepted as it is, in words for the sheet. Example: "Rear tyre: accepted by Ada on 2026-11-20: known". */
export function acceptedWords(bicycle: Bicycle, labelOf: (check: string) => string): string[] {
  return bicycle.acceptances.map(
    ({ check, by, on, words }) => `${labelOf(check)} (${words}; ${by || 'nobody named'}, ${on})`,
  );
}

/** Places by name, each once. */
export function placesInWords(places: string[]): string[] {
  return [...new Set(places)].map(placeLabel);
}
