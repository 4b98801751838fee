import { later, type Declared } from '../workshop/declared';

export const rebuild: Declared = {
  stage: {
    id: 'rebuild',
    label: 'Rebuild',
    atStand: true,
    view: later(() => import('./Rebuild').then(({ Rebuild }) => Rebuild)),
    bench: { task: 'torque', offered: 'by the sheet' },
    opens: (place) => place,
    atHand: 'exploded',
    timesPlace: true,
  },
  notes: {
    // How many bolts have a signature, whatever the law makes of it.
    rebuild: ({ signatures }) => {
      const count = new Set(signatures.map((row) => row.bolt)).size;
      return count === 0 ? '' : count === 1 ? '1 signature' : `${count} signatures`;
    },
  },
  overlays: [{ at: ['rebuild'], load: () => import('./overlay').then(({ boltSigns }) => boltSigns) }],
  tasks: [{ id: 'torque', label: 'Torque round', stage: 'rebuild', byPlace: false }],
  bench: { torque: () => import('./bench').then(({ torqueBench }) => torqueBench) },
  place: later(() => import('./BoltsHere').then(({ BoltsHere }) => BoltsHere)),
  thread: () => import('./thread').then(({ boltThread }) => boltThread),
};
