import { isBearing, stateRank } from '@/core/vocabulary/vocabulary';
import type { PlacedSign } from '@/core/drawing/svg';
import type { Finding } from '@/core/inspect/lookOver';
import { latestObservations } from '@/model/inspect/latest';
import { defineOverlay, later, type Declared } from '../workshop/declared';

/** The gravest state of each place. */
function gravest(findings: readonly Finding[]): PlacedSign[] {
  const by = new Map<string, PlacedSign & { sign: Finding['state'] }>();
  for (const { place, state } of findings) {
    const known = by.get(place);
    if (!known || stateRank(state) > stateRank(known.sign)) by.set(place, { place, sign: state });
  }
  return [...by.values()];
}

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
    'look-over': (bicycle, { lookOver: known }) => {
      if (!known) return '';
      const seen = latestObservations(bicycle);
      const here = known.findings.filter((finding) => !finding.gone);
      const looked = new Set(here.filter(({ check }) => seen.has(check)).map(({ place }) => place));
      return `${looked.size} of ${new Set(here.map(({ place }) => place)).size} places`;
    },
  },
  overlays: [
    defineOverlay({
      at: ['look-over', 'decide', 'prove', 'hand-over'],
      signs: (_bicycle, { lookOver: known }) => gravest(known?.findings ?? []),
    }),
    defineOverlay({
      at: ['buy'],
      signs: (_bicycle, { lookOver: known }) =>
        gravest(known?.findings ?? []).filter(({ sign }) => sign !== 'not-looked-at'),
    }),
    defineOverlay({
      at: ['overhaul'],
      signs: (_bicycle, { lookOver: known }) => gravest(known?.findings ?? []).filter(({ place }) => isBearing(place)),
    }),
  ],
  tasks: [{ id: 'look-over', label: 'Look over', stage: 'look-over', byPlace: false }],
  bench: { 'look-over': () => import('./bench').then(({ lookOverBench }) => lookOverBench) },
  place: later(() => import('./FindingsHere').then(({ FindingsHere }) => FindingsHere)),
};
