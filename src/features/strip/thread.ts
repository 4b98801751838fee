import { partStates } from '@/model/strip/partStates';
import type { Bicycle } from '@/model/record';
import { isSettled, orderOf, trayFor, trayOfJob } from '@/model/strip/trays';
import { defineThread, type Bead } from '../workshop/declared';

/** Whether it is to be taken apart: a job leads there, or nothing was decided yet. */
const isWanted = ({ jobs }: Bicycle, place: string) => {
  const kept = jobs.filter(({ decision }) => decision === 'keep');
  return kept.length === 0 || kept.some((job) => trayOfJob(job.place) === place);
};

/** How far a place was taken apart, and how far it is together again. */
export const trayThread = defineThread({
  beads(bicycle, { trays, place }): Bead[] {
    const at = trays?.trayOf[place] ?? place;
    const assembly = trays?.trays.find((each) => each.place === at);
    if (!assembly) return [];
    const tray = trayFor(bicycle, at);
    const all = partStates(bicycle, assembly);
    const off = all.filter(({ slot }) => slot !== null).length;
    const settled = orderOf(tray).filter((part) => isSettled(tray, part)).length;
    const isApart = assembly.steps.every((step) => tray.doneSteps.includes(step.id));
    const begun = off > 0 || tray.doneSteps.length > 0;
    if (!begun && !isWanted(bicycle, at)) return [];
    const bead = { stage: 'strip', place: at } as const;
    return [
      {
        ...bead,
        id: 'off',
        state: isApart || settled > 0 ? 'done' : begun ? 'under way' : 'ahead',
        words: off > 0 ? `off ${off}/${all.length}` : 'take apart',
      },
      {
        ...bead,
        id: 'back',
        state: off > 0 && settled === off ? 'done' : settled > 0 ? 'under way' : 'ahead',
        words: settled > 0 ? `back in ${settled}/${off}` : 'put back',
      },
    ];
  },
});
