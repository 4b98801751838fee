import { runningTimers } from '@/model/clean/timers';
import { defineOverlay } from '../workshop/declared';

/** What soaks. */
export const bathSigns = defineOverlay({
  signs: (bicycle) =>
    runningTimers(bicycle).map(({ timer }) => ({
      place: timer.place,
      sign: 'in-bath',
      words: `in the bath: ${timer.label}`,
    })),
});
