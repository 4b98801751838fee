import { openProofs } from '@/model/prove/readyQuestion';
import { defineThread, type Bead } from '../workshop/declared';

/** How many of the proofs that lean on a place stand, as the law counts them. */
export const proofThread = defineThread<'prove.proofs'>({
  asks: { id: 'prove.proofs', of: ({ kind }) => ({ kind }) },
  beads(bicycle, { answer, settings, place }): Bead[] {
    const here = answer?.proofs.filter((proof) => proof.safety && proof.leansOn.includes(place)) ?? [];
    if (here.length === 0) return [];
    const open = openProofs(bicycle, here, settings);
    const stand = here.length - open.size;
    return [
      {
        id: 'prove',
        stage: 'prove',
        place: null,
        state: open.size === 0 ? 'done' : stand > 0 ? 'under way' : 'ahead',
        words: stand > 0 ? `proved ${stand}/${here.length}` : 'prove',
      },
    ];
  },
});
