import { chainPercent } from '@/core/inspect/chainPitch';
import type { Evidence } from '@/core/inspect/evidence';
import { figure, plain } from '../phrases';

/** What was seen, in few words. Example: a chain of 24 pitches over 306.9 mm → "0.69 %". */
export function evidenceWords(evidence: Evidence): string {
  if (evidence.lengthMm !== undefined && evidence.pitches !== undefined)
    return `${chainPercent(evidence.pitches, evidence.lengthMm).toFixed(2)} %`;
  if (evidence.outcome) return plain(evidence.outcome);
  if (evidence.byEye) return `${evidence.byEye}, by eye`;
  if (evidence.gaps?.length) return `${evidence.gaps.length} clock points`;
  if (evidence.pairs?.length) return `${evidence.pairs.length} pairs squeezed`;
  if (evidence.code) return evidence.code;
  if (evidence.readingsMm?.length) return `${figure(evidence.readingsMm.at(-1)!)} mm`;
  return [
    evidence.feel?.replace('-', ' '),
    evidence.play && `play ${evidence.play}`,
    evidence.left && `left ${evidence.left}`,
    evidence.right && `right ${evidence.right}`,
    evidence.dropsInAtPercent !== undefined && `gauge in at ${evidence.dropsInAtPercent}`,
  ]
    .filter(Boolean)
    .join(', ');
}
