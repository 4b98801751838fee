import type { PlacedSign } from '@/core/drawing/svg';
import type { Bolt } from '@/core/rebuild/bolts';
import { openBolts } from '@/model/prove/readyQuestion';
import { boltsInput } from '@/model/rebuild/questions';
import type { Bicycle } from '@/model/record';
import type { WorkshopSettings } from '@/model/settings/settings';
import { defineOverlay } from '../workshop/declared';

/** How many bolts of each place the law counts as signed. */
function signedSigns(bicycle: Bicycle, bolts: Bolt[], settings: WorkshopSettings): PlacedSign[] {
  const open = openBolts(bicycle, bolts, settings);
  return [...new Set(bolts.map((bolt) => bolt.place))].map((place) => {
    const here = bolts.filter((bolt) => bolt.place === place);
    const count = here.filter((bolt) => !open.has(bolt.id)).length;
    const sign = count === here.length ? 'signed' : count > 0 ? 'part-signed' : 'unsigned';
    return { place, sign, words: `${count} of ${here.length} signed` };
  });
}

/** How far the bolts of each place are signed. */
export const boltSigns = defineOverlay<'rebuild.bolts'>({
  asks: { id: 'rebuild.bolts', of: (bicycle, { settings }) => boltsInput(bicycle, settings) },
  signs: (bicycle, { answer, settings }) => (answer ? signedSigns(bicycle, answer.bolts, settings) : []),
});
