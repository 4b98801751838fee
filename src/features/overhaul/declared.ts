import { bearingAt, isBearing, placeLabel } from '@/core/vocabulary/vocabulary';
import { later, type Declared } from '../workshop/declared';

export const overhaul: Declared = {
  stage: {
    id: 'overhaul',
    label: 'Overhaul',
    atStand: true,
    view: later(() => import('./Overhaul').then(({ Overhaul }) => Overhaul)),
    bench: { task: 'overhaul', offered: 'by the sheet' },
    opens: (place) => (isBearing(place) ? bearingAt(place) : null),
    atHand: 'section',
    timesPlace: true,
  },
  notes: {
    overhaul: ({ bearings }) => {
      const setting = bearings.find(({ after, trials }) => !after && trials.length > 0);
      if (setting) {
        const trials = setting.trials.length === 1 ? 'one trial' : `${setting.trials.length} trials`;
        return `${placeLabel(setting.place).toLowerCase()}: ${trials}`;
      }
      const done = bearings.filter(({ after }) => after).length;
      return done ? `${done === 1 ? 'one bearing' : `${done} bearings`} done` : '';
    },
  },
  overlays: [{ at: ['overhaul'], load: () => import('./overlay').then(({ doneSigns }) => doneSigns) }],
  tasks: [{ id: 'overhaul', label: 'Overhaul', stage: 'overhaul', byPlace: true, toPlace: true }],
  bench: { overhaul: () => import('./bench').then(({ overhaulBench }) => overhaulBench) },
  thread: () => import('./thread').then(({ bearingThread }) => bearingThread),
};
