import { later, type Declared } from '../workshop/declared';

export const prove: Declared = {
  stage: {
    id: 'prove',
    label: 'Prove',
    atStand: true,
    view: later(() => import('./Prove').then(({ Prove }) => Prove)),
    bench: { task: 'prove', offered: 'by the sheet' },
  },
  notes: {
    prove: ({ proofs }) => (proofs.length ? `${new Set(proofs.map((row) => row.proof)).size} tried` : ''),
  },
  overlays: [{ at: ['prove'], load: () => import('./overlay').then(({ proofSigns }) => proofSigns) }],
  tasks: [{ id: 'prove', label: 'Prove', stage: 'prove', byPlace: false }],
  bench: { prove: () => import('./bench').then(({ proveBench }) => proveBench) },
  thread: () => import('./thread').then(({ proofThread }) => proofThread),
};
