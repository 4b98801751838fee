import type { Ready } from '@/core/prove/ready';
import type { Bicycle } from '../record';
import type { Summary } from '../summary';

export type SecondEyes = NonNullable<NonNullable<Summary['drawn']>['law']>['eyes'];

/** What the law wants another person's signature for, by who signed it and where: what is asked of the others. */
export function secondEyesOf({ signatures, proofs }: Bicycle, { missing }: Pick<Ready, 'missing'>): SecondEyes {
  const eyes: SecondEyes = [];
  for (const { kind, id, stage } of missing) {
    if (kind !== 'second-eyes') continue;
    const by =
      signatures.findLast((row) => row.bolt === id)?.by ?? proofs.findLast((row) => row.proof === id)?.by ?? '';
    const same = eyes.find((each) => each.by === by && each.stage === stage);
    if (same) same.count += 1;
    else eyes.push({ by, stage, count: 1 });
  }
  return eyes;
}

/** What waits for the eyes of somebody: what others signed. */
export const eyesOf = (eyes: SecondEyes, name: string): SecondEyes => eyes.filter(({ by }) => by !== name);
