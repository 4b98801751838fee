import { wantsSecondEyes, type ChangeKind, type LastChanges } from './boltTroubles';
import type { ReadyQuestion } from './readyInput';

/** Everything that may be wrong with a proof. */
export type ProofTrouble = 'proof-failed' | 'proof' | 'proof-reopened' | 'second-eyes';

/**
 * What keeps a proof from standing as the law asks: each as kind, words and whether it blocks; none where it stands. A
 * proof at the stand is reopened by work on what it leans on, one on the road by something renewed there.
 */
export function proofTroubles(
  proof: ReadyQuestion['proofs'][number],
  rules: ReadyQuestion['rules'],
  last: LastChanges,
): { kind: ProofTrouble; words: string; blocks: boolean }[] {
  const { label, kind, safety, result, at, by, accepted, leansOn } = proof;
  if (result === 'failed') {
    const words = accepted ? `${label}: failed, and accepted by ${accepted.by || 'nobody named'}` : `${label}: failed`;
    return [{ kind: 'proof-failed', words, blocks: safety || !accepted }];
  }
  if (result === null) return [{ kind: 'proof', words: `${label}: not signed`, blocks: safety }];
  const since = at === undefined ? -Infinity : Date.parse(at);
  const matters: ChangeKind[] = kind === 'stand' ? ['off', 'adjusted', 'renewed'] : ['renewed'];
  const words = kind === 'ride' ? 'renewed since: a short ride again' : 'worked on since it was signed';
  return [
    ...(last.at(matters, leansOn) > since
      ? [{ kind: 'proof-reopened' as const, words: `${label}: ${words}`, blocks: safety }]
      : []),
    ...(safety && wantsSecondEyes(proof, by, rules)
      ? [
          {
            kind: 'second-eyes' as const,
            words: `${label}: signed by whoever did it; another person signs it too`,
            blocks: true,
          },
        ]
      : []),
  ];
}
