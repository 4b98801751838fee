import type { Bolt } from '@/core/rebuild/bolts';
import type { PlacedSign } from '@/core/drawing/svg';
import { openBolts } from '@/model/prove/readyQuestion';
import { boltsInput } from '@/model/rebuild/questions';
import type { Bicycle } from '@/model/record';
import type { WorkshopSettings } from '@/model/settings/settings';
import { defineOverlay, later, type Declared } from '../workshop/declared';

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

export const rebuild: Declared = {
  stage: {
    id: 'rebuild',
    label: 'Rebuild',
    atStand: true,
    view: later(() => import('./Rebuild').then(({ Rebuild }) => Rebuild)),
    bench: { task: 'torque', offered: 'by the sheet' },
  },
  notes: {
    // How many bolts have a signature, whatever the law makes of it.
    rebuild: ({ signatures }) => {
      const count = new Set(signatures.map((row) => row.bolt)).size;
      return count === 0 ? '' : count === 1 ? '1 signature' : `${count} signatures`;
    },
  },
  overlays: [
    defineOverlay<'rebuild.bolts'>({
      at: ['rebuild'],
      asks: { id: 'rebuild.bolts', of: (bicycle) => boltsInput(bicycle) },
      signs: (bicycle, { answer, settings }) => (answer ? signedSigns(bicycle, answer.bolts, settings) : []),
    }),
  ],
  tasks: [{ id: 'torque', label: 'Torque round', stage: 'rebuild', byPlace: false }],
  bench: { torque: () => import('./bench').then(({ torqueBench }) => torqueBench) },
  place: later(() => import('./BoltsHere').then(({ BoltsHere }) => BoltsHere)),
};
