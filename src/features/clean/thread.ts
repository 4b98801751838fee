import { runningTimers } from '@/model/clean/timers';
import { dirtyParts } from '@/model/clean/wash';
import { isOff, partStates } from '@/model/strip/partStates';
import { clockTime } from '@/ui/format';
import { defineThread, type Bead } from '../workshop/declared';

/** What soaks of a place, or how far its parts are clean. */
export const washThread = defineThread({
  beads(bicycle, { trays, place }): Bead[] {
    const at = trays?.trayOf[place] ?? place;
    const assembly = trays?.trays.find((each) => each.place === at);
    if (!assembly) return [];
    const bead = { id: 'clean', stage: 'clean', place: null } as const;
    const soak = runningTimers(bicycle).find(
      ({ timer }) => timer.place === at || timer.parts.some((part) => part.startsWith(`${at}/`)),
    );
    if (soak) return [{ ...bead, state: 'under way', words: `soaking till ${clockTime(new Date(soak.dueAtMs))}` }];
    const off = partStates(bicycle, assembly).filter(isOff);
    if (off.length === 0) return [];
    const dirty = dirtyParts(bicycle, [assembly]).length;
    const clean = off.filter((part) => part.clean).length;
    if (dirty === 0) return [{ ...bead, state: 'done', words: 'clean' }];
    return [
      clean > 0
        ? { ...bead, state: 'under way', words: `clean ${clean}/${clean + dirty}` }
        : { ...bead, state: 'ahead', words: 'clean' },
    ];
  },
});
