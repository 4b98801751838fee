import { partsOff } from '@/model/strip/trays';
import { later, type Declared } from '../workshop/declared';

export const strip: Declared = {
  stage: {
    id: 'strip',
    label: 'Strip',
    atStand: true,
    view: later(() => import('./Strip').then(({ Strip }) => Strip)),
    bench: { task: 'strip', offered: 'by the stage' },
    opens: (place, { trays }) => {
      const at = trays?.trayOf[place] ?? place;
      return trays?.trays.some((tray) => tray.place === at) ? at : null;
    },
    atHand: 'exploded',
    timesPlace: true,
  },
  notes: {
    strip: ({ trays }) => {
      const off = trays.reduce((sum, tray) => sum + partsOff(tray).length, 0);
      return off ? `${off === 1 ? 'one part' : `${off} parts`} in trays` : '';
    },
  },
  overlays: [
    { at: ['strip', 'clean', 'overhaul'], load: () => import('./overlay').then(({ traySigns }) => traySigns) },
  ],
  tasks: [
    { id: 'strip', label: 'Strip', stage: 'strip', byPlace: true, toPlace: true },
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
  thread: () => import('./thread').then(({ trayThread }) => trayThread),
};
