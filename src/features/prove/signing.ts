import type { Command } from '@/model/commands';
import type { Signature } from '@/model/rebuild/part';
import { newId } from '@/store/browser';
import { nowIso } from '@/store/now';

/** The command that signs a proof, now and by whoever is at the bench. */
export function markProof(proof: string, passed: boolean, by: string, note = ''): Command {
  const at = nowIso();
  return { type: 'markProof', mark: { id: newId(), proof, passed, how: 'by hand', at, by, accepted: null, note } };
}

/** The command that signs a bolt, now and by whoever is at the bench; without a figure it is by feel. */
export function signBolt(
  bolt: string,
  valueNm: number | null,
  by: string,
  holdTest: boolean,
  round: Pick<Signature, 'what' | 'foundLoose'> = { what: 'done', foundLoose: false },
): Command {
  const how = valueNm === null ? 'feel' : 'wrench';
  return {
    type: 'signBolt',
    signature: { id: newId(), bolt, how, valueNm, at: nowIso(), by, holdTest, ...round },
  };
}
