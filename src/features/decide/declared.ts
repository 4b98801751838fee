import { later, type Declared } from '../workshop/declared';

export const decide: Declared = {
  stage: {
    id: 'decide',
    label: 'Decide',
    atStand: false,
    view: later(() => import('./Decide').then(({ Decide }) => Decide)),
    bench: { task: 'jobs', offered: 'by the sheet' },
  },
  notes: {
    decide: ({ jobs }) => {
      const kept = jobs.filter((row) => row.decision === 'keep').length;
      return kept ? (kept === 1 ? '1 job kept' : `${kept} jobs kept`) : '';
    },
  },
  tasks: [
    {
      id: 'jobs',
      label: 'The jobs that were kept',
      stage: 'decide',
      // Hours of a job are hours of work, whichever page it is kept on.
      timedAs: 'overhaul',
      byPlace: false,
      empty: 'No job has been kept yet: decide first.',
    },
  ],
  bench: { jobs: () => import('./bench').then(({ jobsBench }) => jobsBench) },
  place: later(() => import('./JobsHere').then(({ JobsHere }) => JobsHere)),
};
