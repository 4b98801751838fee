import { fileName } from '@/core/fileName';
import type { SignedProof } from '@/model/prove/part';
import type { Bicycle } from '@/model/record';
import { saveFile } from '@/ui/saveFile';

/** Saves a signed proof as its open file. */
export async function saveProof(
  bicycle: Pick<Bicycle, 'id' | 'name'>,
  workshop: string,
  signed: SignedProof,
): Promise<void> {
  const { proofFileOf } = await import('@/model/prove/proofFile');
  const text = JSON.stringify(proofFileOf(bicycle, workshop, signed), null, 2);
  saveFile(new Blob([text], { type: 'application/json' }), `${fileName(`${bicycle.name} proof`)}.json`);
}
