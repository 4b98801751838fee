import type { PlacedSign } from '@/core/drawing/svg';
import { openProofs } from '@/model/prove/readyQuestion';
import { defineOverlay } from '../workshop/declared';

/** How many of the proofs of safety that lean on a place stand, as the law counts them. */
export const proofSigns = defineOverlay<'prove.proofs'>({
  asks: { id: 'prove.proofs', of: ({ kind }) => ({ kind }) },
  signs(bicycle, { answer, settings }) {
    const proofs = answer?.proofs.filter((proof) => proof.safety) ?? [];
    const open = openProofs(bicycle, proofs, settings);
    return [...new Set(proofs.flatMap((proof) => proof.leansOn))].map((place): PlacedSign => {
      const here = proofs.filter((proof) => proof.leansOn.includes(place));
      const stand = here.filter(({ id }) => !open.has(id)).length;
      return {
        place,
        sign: stand === here.length ? 'signed' : stand > 0 ? 'part-signed' : 'unsigned',
        words: `${stand} of ${here.length} proved`,
      };
    });
  },
});
