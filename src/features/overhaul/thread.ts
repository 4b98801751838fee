import { bearingAt } from '@/core/vocabulary/vocabulary';
import { bearingFor } from '@/model/bearings/bearingFor';
import { wasLookedAt, workedSteps } from '@/model/bearings/questions';
import { chosenAssemblies } from '@/model/strip/trays';
import { defineThread, type Bead } from '../workshop/declared';

/** Whether the inside of a bearing was seen, and whether it is set. */
export const bearingThread = defineThread<'bearings.benches'>({
  asks: { id: 'bearings.benches', of: (bicycle) => ({ kind: bicycle.kind, chosen: chosenAssemblies(bicycle) }) },
  beads(bicycle, { answer, place }): Bead[] {
    const at = bearingAt(place);
    const bench = answer?.benches.find((each) => each.place === at);
    if (!bench) return [];
    const bearing = bearingFor(bicycle, at);
    const worked = workedSteps(bearing);
    const trials = bearing.trials.length;
    const isSet = bench.steps.some(({ id, does }) => does === 'lock' && worked.includes(id)) || bearing.after !== null;
    const bead = { stage: 'overhaul', place: at } as const;
    const touched = worked.some((step) => step !== 'feel') || wasLookedAt(bearing) || trials > 0;
    if (bench.leaveWhy && !touched) return [{ ...bead, id: 'inspect', state: 'done', words: 'left shut' }];
    return [
      { ...bead, id: 'inspect', state: wasLookedAt(bearing) ? 'done' : 'ahead', words: 'inspect' },
      ...(bench.setting
        ? [
            {
              ...bead,
              id: 'set' as const,
              state: isSet ? ('done' as const) : trials > 0 ? ('under way' as const) : ('ahead' as const),
              words: isSet || trials === 0 ? 'set' : trials === 1 ? 'set: 1 trial' : `set: ${trials} trials`,
            },
          ]
        : []),
    ];
  },
});
