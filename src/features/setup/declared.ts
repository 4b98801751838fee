import type { Declared } from '../workshop/declared';

export const setup: Declared = {
  tasks: [
    {
      id: 'set-up',
      label: 'Set up',
      stage: 'rebuild',
      byPlace: true,
      toPlace: true,
      empty: 'Nothing is set up here.',
    },
  ],
  bench: { 'set-up': () => import('./bench').then(({ setupBench }) => setupBench) },
  thread: () => import('./thread').then(({ setupThread }) => setupThread),
};
