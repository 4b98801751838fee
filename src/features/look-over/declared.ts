import { later, type Declared } from '../workshop/declared';

const overlay = () => import('./overlay');

export const lookOver: Declared = {
  stage: {
    id: 'look-over',
    label: 'Look over',
    atStand: true,
    view: later(() => import('./LookOverStage').then(({ LookOverStage }) => LookOverStage)),
    bench: { task: 'look-over', offered: 'by the sheet' },
    opens: (place, known) => (known.lookOver?.findings.some((finding) => finding.place === place) ? place : null),
    notesItself: true,
  },
  notes: {
    'look-over': (_bicycle, { lookOver: known }) => {
      if (!known) return '';
      const here = known.findings.filter((finding) => !finding.gone);
      const looked = new Set(here.filter(({ state }) => state !== 'not-looked-at').map(({ place }) => place));
      return `${looked.size} of ${new Set(here.map(({ place }) => place)).size} places`;
    },
  },
  overlays: [
    {
      at: ['look-over', 'decide', 'prove', 'hand-over'],
      load: () => overlay().then(({ findingSigns }) => findingSigns),
    },
    { at: ['buy'], load: () => overlay().then(({ seenSigns }) => seenSigns) },
    { at: ['overhaul'], load: () => overlay().then(({ bearingSigns }) => bearingSigns) },
  ],
  tasks: [{ id: 'look-over', label: 'Look over', stage: 'look-over', byPlace: false }],
  bench: { 'look-over': () => import('./bench').then(({ lookOverBench }) => lookOverBench) },
  place: later(() => import('./FindingsHere').then(({ FindingsHere }) => FindingsHere)),
  thread: () => import('./thread').then(({ lookThread }) => lookThread),
};
