import { placeLabel } from '@/core/vocabulary/vocabulary';
import { defineBench, NO_STEP } from '../workshop/declared';

/** Every kept job as a step of its own: what it is, where, how long it may take; done by one tap. */
export const jobsBench = defineBench({
  steps: (bicycle) =>
    bicycle.jobs
      .filter((job) => job.decision === 'keep')
      .map((job) => ({
        ...NO_STEP,
        id: job.id,
        place: job.place,
        title: job.title,
        large: `${Math.round(job.minutes.likely)} min`,
        aside: `${placeLabel(job.place)}; it may take up to ${Math.round(job.minutes.high)} min`,
        forget: bicycle.looseEnds.some((row) => row.place === job.place && row.closedAt === null)
          ? 'This place is only loosely together.'
          : null,
        drawn: { form: 'section' as const, hand: [] },
        done: job.done,
        finish: { type: 'finishJob', job: job.id, done: true },
      })),
});
