import { openBolts } from '@/model/prove/readyQuestion';
import { boltsInput } from '@/model/rebuild/questions';
import { defineThread, type Bead } from '../workshop/declared';

/** How many bolts of a place the law counts as signed. */
export const boltThread = defineThread<'rebuild.bolts'>({
  asks: { id: 'rebuild.bolts', of: (bicycle, { settings }) => boltsInput(bicycle, settings) },
  beads(bicycle, { answer, settings, place }): Bead[] {
    const here = answer?.bolts.filter((bolt) => bolt.place === place) ?? [];
    if (here.length === 0) return [];
    const open = openBolts(bicycle, here, settings);
    const signed = here.filter(({ id }) => !open.has(id)).length;
    return [
      {
        id: 'tighten',
        stage: 'rebuild',
        place,
        state: signed === here.length ? 'done' : signed > 0 ? 'under way' : 'ahead',
        words: signed > 0 ? `tight ${signed}/${here.length}` : 'tighten',
      },
    ];
  },
});
