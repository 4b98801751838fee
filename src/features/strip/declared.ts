import type { PlacedSign } from '@/core/drawing/svg';
import { partsOff } from '@/model/strip/trays';
import { defineOverlay, later, type Declared } from '../workshop/declared';

export const strip: Declared = {
  stage: {
    id: 'strip',
    label: 'Strip',
    atStand: true,
    view: later(() => import('./Strip').then(({ Strip }) => Strip)),
    bench: { task: 'strip', offered: 'by the stage' },
    timesPlace: true,
  },
  notes: {
    strip: ({ trays }) => {
      const off = trays.reduce((sum, tray) => sum + partsOff(tray).length, 0);
      return off ? `${off === 1 ? 'one part' : `${off} parts`} in trays` : '';
    },
  },
  overlays: [
    defineOverlay({
      at: ['strip', 'clean', 'overhaul'],
      signs: ({ trays }, { stage }) =>
        trays.flatMap((tray): PlacedSign[] => {
          const left = partsOff(tray).length;
          const words = `${left === 1 ? 'one part' : `${left} parts`} in its tray`;
          if (left > 0) return [{ place: tray.place, sign: stage === 'overhaul' ? 'open' : 'off', words }];
          const wasOff = Object.keys(tray.off).length > 0;
          return wasOff ? [{ place: tray.place, sign: 'fine', words: 'all back in' }] : [];
        }),
    }),
  ],
  tasks: [
    { id: 'strip', label: 'Strip', stage: 'strip', byPlace: true },
    {
      id: 'put-back',
      label: 'Put back',
      stage: 'overhaul',
      byPlace: true,
      empty: 'The tray is empty: nothing is off here.',
    },
  ],
  bench: {
    strip: () => import('./bench').then(({ stripBench }) => stripBench),
    'put-back': () => import('./bench').then(({ putBackBench }) => putBackBench),
  },
  place: later(() => import('./TrayHere').then(({ TrayHere }) => TrayHere)),
};
