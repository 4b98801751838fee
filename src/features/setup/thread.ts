import { setupInput } from '@/model/setup/questions';
import { defineThread, type Bead } from '../workshop/declared';

/** How far a place is set up, by the steps that every rebuild asks for. */
export const setupThread = defineThread<'setup.steps'>({
  asks: { id: 'setup.steps', of: (bicycle, { settings }) => setupInput(bicycle, settings) },
  beads(_bicycle, { answer, place }): Bead[] {
    const here = answer?.jobs.filter((job) => job.asked && job.place === place) ?? [];
    const all = here.reduce((sum, { steps }) => sum + steps.length, 0);
    if (all === 0) return [];
    const done = here.reduce((sum, job) => sum + job.done, 0);
    return [
      {
        id: 'set',
        stage: 'rebuild',
        place,
        state: done === all ? 'done' : done > 0 ? 'under way' : 'ahead',
        words: done > 0 ? `set up ${done}/${all}` : 'set up',
      },
    ];
  },
});
