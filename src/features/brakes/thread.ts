import { own } from '@/core/own';
import { setupsInput } from '@/model/brakes/questions';
import { defineThread, type Bead } from '../workshop/declared';

/** How far the brake of a place is set up, by its steps. */
export const setupThread = defineThread<'brakes.setups'>({
  asks: { id: 'brakes.setups', of: (bicycle, { settings }) => setupsInput(bicycle, settings) },
  beads(bicycle, { answer, place }): Bead[] {
    if (!answer || (place !== 'brake.front' && place !== 'brake.rear')) return [];
    const { jobs } = place === 'brake.front' ? answer.front : answer.rear;
    const steps = jobs.find(({ job }) => job === 'set-up')?.steps ?? [];
    if (steps.length === 0) return [];
    const done = steps.filter(({ id }) => own(bicycle.brakeSteps, `${place}/${id}`) !== undefined).length;
    return [
      {
        id: 'set',
        stage: 'rebuild',
        place,
        state: done === steps.length ? 'done' : done > 0 ? 'under way' : 'ahead',
        words: done > 0 ? `set up ${done}/${steps.length}` : 'set up',
      },
    ];
  },
});
